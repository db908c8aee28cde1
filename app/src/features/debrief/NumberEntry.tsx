import type { Estimate, NumberQuestion } from '@skelby/core/evidence/question';
import { useState } from 'react';
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

/** A number by stepper or keyboard, in the school's units; distance and height by pointing as well. */
export function NumberEntry({ question, value, other, onAnswer }: NumberEntryProps) {
  const { unit, from, to, sayM } = useUnits();
  const [number, setNumber] = useState<number | null>(
    value?.value ?? USUAL_START[question.id] ?? question.least,
  );
  const [paired, setPaired] = useState<number | null>(null);
  const usualWithin = (of: number) => (question.unit === '%' ? question.spread : question.spread * of);
  const [how, setHow] = useState<'eye' | 'measured'>(
    value && value.within < usualWithin(value.value) * 0.9 ? 'measured' : 'eye',
  );
  const points = question.id === 'distance_m' || question.id === 'height_m';
  const isDistance = question.id === 'distance_m';
  const [reach, setReach] = useState<number>(
    REACHES_M.find(
      (each) => each > Math.max(number ?? 0, other.distanceM ?? 0, 3 * (other.heightM ?? 0)) * 1.1,
    ) ?? 1500,
  );
  const limits = `${Math.round(from(question.least, question.unit))} to ${Math.round(from(question.most, question.unit))} ${unit(question.unit)}`;
  const wrong = number === null || number < question.least || number > question.most;
  const within = (of: number) =>
    how === 'eye' ? usualWithin(of) : question.unit === '%' ? MEASURED_POINTS : MEASURED_SHARE * of;
  const rounded = (metres: number) => (metres < 10 ? Math.round(metres * 10) / 10 : Math.round(metres));
  const [distanceM, heightM] = isDistance
    ? [number, paired ?? other.heightM]
    : [paired ?? other.distanceM, number];
  const give = () => {
    if (wrong) return;
    const pairedId = isDistance ? 'height_m' : 'distance_m';
    onAnswer({
      [question.id]: { value: number, within: within(number) },
      ...(paired === null ? {} : { [pairedId]: { value: paired, within: 0.25 * paired } }),
    });
  };
  const stepReach = (by: number) =>
    setReach(
      REACHES_M[
        Math.min(
          REACHES_M.length - 1,
          Math.max(0, REACHES_M.indexOf(reach as (typeof REACHES_M)[number]) + by),
        )
      ]!,
    );
  return (
    <View style={{ gap: 14 }}>
      {points ? (
        <>
          <SideView
            reachM={reach}
            distanceM={distanceM}
            heightM={heightM}
            say={sayM}
            onPoint={(distance, height) => {
              setNumber(rounded(isDistance ? distance : height));
              setPaired(rounded(isDistance ? height : distance));
            }}
          />
          <ButtonRow>
            <Button label="Closer in" icon="zoom-in" onPress={() => stepReach(-1)} />
            <Button label="Farther out" icon="zoom-out" onPress={() => stepReach(1)} />
          </ButtonRow>
        </>
      ) : null}
      <Stepper
        label={question.short}
        unit={unit(question.unit)}
        value={number === null ? null : from(number, question.unit)}
        step={STEP[unit(question.unit)] ?? 1}
        least={from(question.least, question.unit)}
        most={from(question.most, question.unit)}
        onChange={(next) => setNumber(next === null ? null : to(next, question.unit))}
        error={wrong ? `${question.short}: give a number from ${limits}.` : undefined}
      />
      {paired === null ? null : (
        <Words as="soft">{`${isDistance ? 'Height' : 'Distance'} taken from the picture too: ${sayM(paired)}.`}</Words>
      )}
      <Choice label="How it is known" options={HOW} value={how} onChange={setHow} />
      <Button kind="solid" large label="Take it" disabled={wrong} onPress={give} />
    </View>
  );
}
