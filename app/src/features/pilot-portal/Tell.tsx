import { causeWords } from '@skelby/copy/causes';
import type { CauseId } from '@skelby/core/causes/causes';
import type { MissReason } from '@skelby/core/clearance/facts';
import { useState } from 'react';
import { useTell } from '../../offline/overlay/own-queries';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** What a video has told of it already. */
export interface Told {
  readonly note: string;
  readonly seen: readonly MissReason[];
}

interface TellProps {
  readonly token: string;
  /** What is said of it already, and what was seen of it in a video. */
  readonly begun: Told;
  readonly onDone: () => void;
}

/** A near-miss, told to the trainer. */
export function Tell({ token, begun, onDone }: TellProps) {
  const tell = useTell(token);
  const [familyId, setFamilyId] = useState<string | null>(null);
  const [causeId, setCauseId] = useState<CauseId | null>(null);
  const [note, setNote] = useState(begun.note);
  if (tell.isSuccess)
    return (
      <Screen title="Told" foot={<Button kind="solid" label="Back to my page" onPress={onDone} />}>
        <Note icon="heart" heading="Thank you">
          Your trainer sees it and will go through it with you. Telling is how it happens once.
        </Note>
      </Screen>
    );
  return (
    <Screen
      title="A near-miss"
      under="Told to your trainer, without blame"
      foot={
        causeId ? (
          <>
            {tell.error ? <Words as="strong" role="alert">{`! ${tell.error.message}`}</Words> : null}
            <Button
              kind="main"
              icon="send"
              label={tell.isPending ? 'Telling …' : 'Tell my trainer'}
              disabled={tell.isPending}
              onPress={() => tell.mutate({ causeId, note: note.trim(), seen: begun.seen })}
            />
          </>
        ) : undefined
      }
    >
      <Button
        kind="quiet"
        icon="arrow-left"
        label="Back"
        onPress={() => {
          if (causeId) setCauseId(null);
          else if (familyId) setFamilyId(null);
          else onDone();
        }}
      />
      {causeId ? (
        <>
          <Words as="heading">{causeWords(causeId).name}</Words>
          <TextBox label="What happened?" value={note} onChangeText={setNote} multiline maxLength={800} />
        </>
      ) : familyId ? (
        <>
          <Words as="heading">Which is nearest?</Words>
          <CauseRows familyId={familyId} onPick={setCauseId} />
        </>
      ) : (
        <>
          <Words as="heading">What was it like?</Words>
          <FamilyRows onPick={setFamilyId} />
        </>
      )}
    </Screen>
  );
}
