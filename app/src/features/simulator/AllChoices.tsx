import type { ComponentProps } from 'react';
import { GhostChoice } from './GhostChoice';
import { PracticeChoices } from './PracticeChoices';
import { SoundChoice } from './SoundChoice';
import type { useChosen } from './use-practice';

type OfPractice = ComponentProps<typeof PracticeChoices>;

interface AllChoicesProps
  extends Omit<OfPractice, 'craftId' | 'layout' | 'onCraft' | 'onLayout'>, ReturnType<typeof useChosen> {
  /** Whether there is a best flight to be drawn; null: nothing is drawn to fly after. */
  readonly hasBest: boolean | null;
}

/** How a flight is heard, what is drawn into its field, and how it is flown. */
export function AllChoices({ chosen, choose, hasBest, ...practice }: AllChoicesProps) {
  return (
    <>
      <SoundChoice volume={chosen.volume} onVolume={(volume) => choose({ volume })} />
      {hasBest === null ? null : (
        <GhostChoice ghost={chosen.ghost} hasBest={hasBest} onGhost={(ghost) => choose({ ghost })} />
      )}
      <PracticeChoices
        {...practice}
        craftId={chosen.craftId}
        layout={chosen.layout}
        onCraft={(craftId) => choose({ craftId })}
        onLayout={(layout) => choose({ layout })}
      />
    </>
  );
}
