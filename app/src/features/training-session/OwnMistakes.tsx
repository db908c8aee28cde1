import { coachingOf } from '@skelby/copy/coaching';
import type { Block } from '@skelby/core/plan/layout/block';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { Button } from '../../shared/ui/Button';
import { Choice, ManyChoice } from '../../shared/forms/Choice';
import { Screen } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';

interface OwnProps {
  readonly pilot: string;
  readonly pack: number;
  readonly blocks: readonly Block[];
  readonly onBack: (() => void) | null;
  readonly onDone: (mistakes: readonly string[], next: string) => void;
}

interface Noted {
  readonly seen: readonly string[];
  readonly own: string;
  readonly next: string | null;
}
const NOTHING: Noted = { seen: [], own: '', next: null };

/** The pilot's own turn: what went wrong, and the one thing to work on next. */
export function OwnMistakes({ pilot, pack, blocks, onBack, onDone }: OwnProps) {
  const usual = [...new Set(blocks.flatMap((block) => coachingOf(block.drillId).mistakes))].slice(0, 8);
  const [{ seen, own, next }, keepNoted, forget] = useKeptState<Noted>(`own.${pack}`, NOTHING);
  const note = (part: Partial<Noted>) => keepNoted({ seen, own, next, ...part });
  const listed = [...seen, ...(own.trim() ? [own.trim()] : [])];
  return (
    <Screen
      title="Your own eyes"
      under={pilot}
      foot={
        <Button
          kind="solid"
          icon="arrow-right"
          label={listed.length === 0 ? 'Nothing to note: go on' : 'Go on'}
          onPress={() => {
            forget();
            onDone(listed, next !== null && listed.includes(next) ? next : '');
          }}
        />
      }
    >
      <Words>Hand the phone over: the pilot says first.</Words>
      <ManyChoice
        label="What went wrong?"
        options={usual.map((value) => ({ value, label: value }))}
        values={seen}
        onChange={(values) => note({ seen: values })}
      />
      <TextBox
        label="Something else"
        value={own}
        onChangeText={(text) => note({ own: text })}
        maxLength={120}
      />
      {listed.length > 0 ? (
        <Choice
          label="The one to work on next"
          options={listed.map((value) => ({ value, label: value }))}
          value={next}
          onChange={(value) => note({ next: value })}
        />
      ) : null}
      {onBack ? (
        <Button kind="quiet" icon="corner-up-left" label="Back to the drill before" onPress={onBack} />
      ) : null}
    </Screen>
  );
}
