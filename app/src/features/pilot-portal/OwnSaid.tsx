import { untilCleared } from '../../shared/copy/restriction-copy';
import { restricts } from '@skelby/core/clearance/open-states';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { useState } from 'react';
import { useSay } from '../../offline/overlay/own-queries';
import { sayTime } from '../../shared/copy/dates';
import { errorsIn } from '../../shared/api/errors-in';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';

interface OwnSaidProps {
  readonly weakness: PilotPortalPage['weaknesses'][number];
  readonly token: string;
}

/** What holds until it is cleared, and that the pilot has read it. */
export function ToBeRead({ weakness, token }: OwnSaidProps) {
  const say = useSay(token);
  if (!restricts(weakness)) return null;
  const { id, readAt } = weakness;
  return (
    <>
      <Note icon="slash" heading="Until cleared">
        {untilCleared(weakness.causeId)}
      </Note>
      {say.error ? <Words as="strong" role="alert">{`! ${say.error.message}`}</Words> : null}
      {readAt ? (
        <Words as="soft" role="status">{`You said that you read it: ${sayTime(readAt)}.`}</Words>
      ) : id ? (
        <Button
          icon="check"
          label={say.isPending ? 'Telling …' : 'I have read this'}
          disabled={say.isPending}
          onPress={() => say.mutate({ weaknessId: id, says: 'read', words: '' })}
        />
      ) : null}
    </>
  );
}

/** The pilot's own view beside the trainer's, where it is another one. */
export function SeenOtherwise({ weakness: { id, otherwise }, token }: OwnSaidProps) {
  const say = useSay(token);
  const [isOpen, setIsOpen] = useState(false);
  const [words, setWords] = useState('');
  if (!id) return null;
  const errors = errorsIn(say.error);
  const submit = () =>
    say.mutate(
      { weaknessId: id, says: 'otherwise', words: words.trim() },
      { onSuccess: () => setIsOpen(false) },
    );
  return (
    <>
      {otherwise ? <Words>{`You see it otherwise: “${otherwise}”`}</Words> : null}
      {isOpen ? (
        <>
          <TextBox
            label="How was it, as you see it?"
            value={words}
            onChangeText={setWords}
            error={errors.of('words')}
            multiline
            maxLength={800}
          />
          {errors.whole ? <Words as="strong" role="alert">{`! ${errors.whole}`}</Words> : null}
          <Button
            icon="send"
            label={say.isPending ? 'Telling …' : 'Tell my trainer'}
            disabled={say.isPending || words.trim() === ''}
            onPress={submit}
          />
          <Button kind="quiet" label="Leave it" onPress={() => setIsOpen(false)} />
        </>
      ) : (
        <Button
          kind="quiet"
          icon="message-square"
          label={otherwise ? 'Say it in other words' : 'It was not like that'}
          onPress={() => {
            setWords(otherwise ?? '');
            setIsOpen(true);
          }}
        />
      )}
    </>
  );
}
