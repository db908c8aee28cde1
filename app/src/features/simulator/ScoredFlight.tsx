import { causeWords } from '@skelby/copy/causes';
import { percentChance } from '@skelby/core/vocabulary/percent';
import type { Exercise } from '@skelby/core/assessment/exercise';
import type { PracticeSetUp } from '@skelby/core/simulator/practice';
import type { Ended } from '@skelby/core/simulator/simulated-flight';
import type { Solid } from '@skelby/core/simulator/world';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { PressRow, Row, Rows } from '../../shared/ui/Rows';
import { Words } from '../../shared/ui/Words';
import type { LikelyCause, Scored } from './practice-messages';
import { type LookAt, Replayed } from '../../shared/field/Replayed';
import { ScorePanel } from './ScorePanel';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';

const SOLID_WORDS: Readonly<Record<Solid['solid'], string>> = {
  wire: 'a bar or wire',
  pole: 'a post or trunk',
  ball: 'a tree',
  box: 'a wall or roof',
};

const endedWords = ({ how, solid }: NonNullable<Ended>): string =>
  how === 'ground' ? 'Into the ground' : `Into ${SOLID_WORDS[solid?.solid ?? 'box']}`;

interface LikelyProps {
  readonly causes: readonly LikelyCause[];
  /** Shows the flight at a moment, s. */
  readonly onMoment: (atS: number) => void;
}

const titleOf = ({ causeId, probability }: LikelyCause): string =>
  `${causeWords(causeId).name} · ${percentChance(probability)}`;

/**
 * What the flight itself says of its cause: a practice crash stays in practice, and no trainer has to confirm
 * it.
 */
function Likely({ causes, onMoment }: LikelyProps) {
  const [first, ...others] = causes;
  if (!first) return null;
  return (
    <View style={{ gap: 6 }}>
      <Words as="heading">Likely cause</Words>
      <Rows>
        <Row title={titleOf(first)} />
        {first.because.map(({ words, atS }) =>
          atS === null ? (
            <Row key={words} title={words} />
          ) : (
            <PressRow
              key={words}
              title={words}
              under={`Shows at ${atS.toFixed(1)} s: look at it`}
              onPress={() => onMoment(atS)}
            />
          ),
        )}
        {others.map((cause) => (
          <Row
            key={cause.causeId}
            title={titleOf(cause)}
            under={cause.because.map(({ words }) => words).join('; ')}
          />
        ))}
      </Rows>
      <Words as="soft">
        Read from the flight alone: what you saw and thought it cannot tell. Nothing of it is logged.
      </Words>
    </View>
  );
}

interface ScoredFlightProps {
  readonly scored: Scored;
  readonly craft: CraftRecord;
  readonly marks: PracticeSetUp['marks'];
  readonly scene: SimulatedScene;
  readonly layout: StickLayout;
  readonly cameraDeg: number;
  readonly course: Exercise;
  /** What became of the rep, under its score. */
  readonly recorded?: ReactNode;
  /** In the place of its score, where it is not judged. */
  readonly panel?: ReactNode;
  readonly onAgain: () => void;
  /** The next one, off at once. */
  readonly onNext: () => void;
  /** From a moment of this flight on, s. */
  readonly onTakeOver: (atS: number) => void;
  readonly onSave: () => void;
}

/** A flight that is over: met or missed, why, and the flight once more. */
export function ScoredFlight({
  scored,
  craft,
  recorded,
  panel,
  onAgain,
  onNext,
  onTakeOver,
  onSave,
  ...shown
}: ScoredFlightProps) {
  const { say } = useUnits();
  const { ended, score, likely, replay } = scored;
  const [look, setLook] = useState<LookAt>({ atS: null, nth: 0 });
  return (
    <>
      {ended ? (
        <Words
          as="heading"
          role="alert"
        >{`${endedWords(ended)} at ${say(Math.round(ended.speedMps), 'm/s')}`}</Words>
      ) : null}
      {panel ?? <ScorePanel score={score} />}
      <Button kind="main" icon="play" label={panel ? 'Once more' : 'Next rep'} onPress={onNext} />
      <Likely causes={likely} onMoment={(atS) => setLook((last) => ({ atS, nth: last.nth + 1 }))} />
      {recorded}
      <Replayed
        {...shown}
        replay={replay}
        wrongAtS={score.wrong?.atS ?? null}
        look={look}
        spanM={craft.spanM}
        rotors={craft.rotors}
        onTakeOver={onTakeOver}
      />
      <ButtonRow>
        <Button icon="rotate-ccw" label="Again" onPress={onAgain} />
        <Button icon="download" label="Save the flight" onPress={onSave} />
      </ButtonRow>
    </>
  );
}
