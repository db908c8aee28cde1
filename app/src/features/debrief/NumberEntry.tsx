import { questionWords } from '@skelby/copy/questions';
import type { QuestionId } from '@skelby/core/evidence/questions';
import type { Estimate, NumberQuestion } from '@skelby/core/evidence/question';
import { useState } from 'react';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { SideView } from '../../shared/drawing';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { Stepper } from '../../shared/forms/Stepper';
import { Words } from '../../shared/ui/Words';

const STEP: Readonly<Record<string, number>> = {
  m: 1,
  ft: 5,
  'm/s': 0.5,
  'km/h': 1,
  mph: 1,
  kn: 1,
  '%': 5,
  spans: 0.5,
};
/** A tape, a readout or a film: off by this share. Common practice. */
const MEASURED_SHARE = 0.05;
const MEASURED_POINTS = 1;
const REACHES_M = [5, 15, 50, 150, 500, 1500] as const;
const USUAL_START: Readonly<Record<string, number>> = {
  speed_mps: 5,
  descent_mps: 2,
  height_m: 5,
  distance_m: 20,
  seen_at_m: 10,
  gap_ratio: 4,
  wind_mps: 3,
  gust_mps: 5,
  battery_pct: 30,
  return_height_m: 30,
  tallest_m: 20,
  visibility_m: 5000,
};

const HOW = [
  { value: 'eye', label: 'By eye' },
  { value: 'measured', label: 'Measured' },
] as const;

interface NumberEntryProps {
  readonly question: NumberQuestion;
  readonly value: Estimate | undefined;
  /** Distance and height share one picture. */
  readonly other: { readonly distanceM: number | null; readonly heightM: number | null };
  readonly onAnswer: (answers: Readonly<Record<string, Estimate>>) => void;
}

const reachFor = (metres: number): number => REACHES_M.find((each) => each > metres * 1.1) ?? 1500;
const rounded = (metres: number) => (metres < 10 ? Math.round(metres * 10) / 10 : Math.round(metres));
const isPointed = (id: string): boolean => id === 'distance_m' || id === 'height_m';

/** How far a number may be off, by how it is known. */
function withinOf({ unit, spread }: NumberQuestion, value: number, how: 'eye' | 'measured'): number {
  if (how === 'eye') return unit === '%' ? spread : spread * value;
  return unit === '%' ? MEASURED_POINTS : MEASURED_SHARE * value;
}

interface Entered {
  readonly number: number | null;
  /** The other of distance and height, where both were pointed at. */
  readonly paired: number | null;
  readonly how: 'eye' | 'measured';
}

/** What is typed or pointed at, until it is taken. */
function useNumberEntry({ question, value, other, onAnswer }: NumberEntryProps) {
  const [{ number, paired, how }, keepEntered, forget] = useKeptState<Entered>(`answer.${question.id}`, {
    number: value?.value ?? USUAL_START[question.id] ?? question.least,
    paired: null,
    how: value && value.within < withinOf(question, value.value, 'eye') * 0.9 ? 'measured' : 'eye',
  });
  const enter = (part: Partial<Entered>) => keepEntered({ number, paired, how, ...part });
  const isDistance = question.id === 'distance_m';
  const wrong = number === null || number < question.least || number > question.most;
  return {
    number,
    setNumber: (to: number | null) => enter({ number: to }),
    paired,
    how,
    setHow: (to: Entered['how']) => enter({ how: to }),
    isDistance,
    wrong,
    distanceM: isDistance ? number : (paired ?? other.distanceM),
    heightM: isDistance ? (paired ?? other.heightM) : number,
    point: (distance: number, height: number) => {
      enter({
        number: rounded(isDistance ? distance : height),
        paired: rounded(isDistance ? height : distance),
      });
    },
    give: () => {
      if (wrong) return;
      forget();
      onAnswer({
        [question.id]: { value: number, within: withinOf(question, number, how) },
        ...(paired === null
          ? {}
          : { [isDistance ? 'height_m' : 'distance_m']: { value: paired, within: 0.25 * paired } }),
      });
    },
  };
}

/** Distance and height at once, on a side view that reaches as far as is wanted. */
function PointInView({ entry }: { readonly entry: ReturnType<typeof useNumberEntry> }) {
  const { sayM } = useUnits();
  const { distanceM, heightM, point } = entry;
  const [reach, setReach] = useState<number>(() => reachFor(Math.max(distanceM ?? 0, 3 * (heightM ?? 0))));
  const step = (by: number) => {
    const at = REACHES_M.indexOf(reach as (typeof REACHES_M)[number]) + by;
    setReach(REACHES_M[Math.min(REACHES_M.length - 1, Math.max(0, at))]!);
  };
  return (
    <>
      <SideView reachM={reach} distanceM={distanceM} heightM={heightM} say={sayM} onPoint={point} />
      <ButtonRow>
        <Button label="Closer in" icon="zoom-in" onPress={() => step(-1)} />
        <Button label="Farther out" icon="zoom-out" onPress={() => step(1)} />
      </ButtonRow>
    </>
  );
}

/** A number by stepper or keyboard, in the school's units; distance and height by pointing as well. */
export function NumberEntry(props: NumberEntryProps) {
  const { question } = props;
  const { unit, from, to, sayM } = useUnits();
  const entry = useNumberEntry(props);
  const { number, paired, wrong } = entry;
  const limits = `${Math.round(from(question.least, question.unit))} to ${Math.round(from(question.most, question.unit))} ${unit(question.unit)}`;
  const { short } = questionWords(question.id as QuestionId);
  return (
    <View style={{ gap: 14 }}>
      {isPointed(question.id) ? <PointInView entry={entry} /> : null}
      <Stepper
        label={short}
        unit={unit(question.unit)}
        value={number === null ? null : from(number, question.unit)}
        step={STEP[unit(question.unit)] ?? 1}
        least={from(question.least, question.unit)}
        most={from(question.most, question.unit)}
        onChange={(next) => entry.setNumber(next === null ? null : to(next, question.unit))}
        error={wrong ? `${short}: give a number from ${limits}.` : undefined}
      />
      {paired === null ? null : (
        <Words as="soft">{`${entry.isDistance ? 'Height' : 'Distance'} taken from the picture too: ${sayM(paired)}.`}</Words>
      )}
      <Choice label="How it is known" options={HOW} value={entry.how} onChange={entry.setHow} />
      <Button kind="solid" large label="Take it" disabled={wrong} onPress={entry.give} />
    </View>
  );
}
