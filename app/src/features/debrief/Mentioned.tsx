import { type MentionId, MENTIONS } from '@skelby/core/ranking/mentions';
import { ManyChoice } from '../../shared/forms/Choice';
import { Part } from '../../shared/ui/Screen';
import { MENTION_WORDS } from './mention-copy';

interface MentionedProps {
  readonly mentioned: readonly MentionId[];
  readonly onChange: (mentioned: readonly MentionId[]) => void;
}

/** Asked in one go before anything else: what is rare and decisive would else come late. It is no answer yet. */
export function Mentioned({ mentioned, onChange }: MentionedProps) {
  return (
    <Part heading="Did any of this play a part?">
      <ManyChoice
        label="Tap what did: it is asked about first."
        options={MENTIONS.map(({ id }) => ({ value: id, label: MENTION_WORDS[id] }))}
        values={mentioned}
        onChange={onChange}
      />
    </Part>
  );
}
