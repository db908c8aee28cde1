import { type MentionId, MENTIONS } from '@skelby/core/ranking/mentions';
import type { MissReason } from '@skelby/core/clearance/facts';
import { MISS_WORDS } from '../../shared/copy/copy';
import { ManyChoice } from '../../shared/forms/Choice';
import { Note } from '../../shared/ui/Note';
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

/** What was marked in a video of it, and what that does. */
export function SeenInVideo({ seen }: { readonly seen: readonly MissReason[] }) {
  if (seen.length === 0) return null;
  const words = [...new Set(seen)].map((what) => MISS_WORDS[what].toLowerCase()).join(', ');
  return (
    <Note icon="video" heading={`Marked in the video: ${words}`}>
      What such mistakes come from is asked first.
    </Note>
  );
}
