import { PLACE_WORDS, SETTING_WORDS } from '../copy/copy';
import { figureWords, sumWords } from '@skelby/copy/sums';
import type { CraftFacts } from '@skelby/core/vocabulary/craft-facts';
import type { Figure, Given, NumberInput, Sum, SumInput, Values } from '@skelby/core/sums/sum';
import { type Drawing, judged, workOut } from '@skelby/core/sums/sums';
import { useState } from 'react';
import { View } from 'react-native';
import { useSentence } from '../api/use-sentence';
import { useUnits } from '../api/use-units';
import { SumPicture } from '../drawing';
import { Button } from '../ui/Button';
import { Choice } from './Choice';
import { Stepper } from './Stepper';
import { themed } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  card: { gap: 12, borderTopWidth: 3, borderTopColor: theme.ink, paddingTop: 12 },
  answer: { flexDirection: 'row', gap: 10 },
  figures: { gap: 4 },
  figure: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    gap: 12,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
    paddingVertical: 4,
  },
  inputs: { gap: 16 },
}));

const ORIGIN_WORDS = { told: 'as told', craft: 'from the craft', usual: 'usual' } as const;
const MARK = { against: '✗', for: '✓', open: '•' } as const;

interface InputProps {
  readonly input: SumInput;
  readonly called: string;
  readonly value: number | string | null;
  readonly origin: Given['origin'] | 'changed';
  readonly onChange: (value: number | string | null) => void;
}

function NumberBox({
  input,
  value,
  label,
  onChange,
}: {
  readonly input: NumberInput;
  readonly value: number | null;
  readonly label: string;
  readonly onChange: (value: number | null) => void;
}) {
  const { unit, from, to } = useUnits();
  return (
    <Stepper
      label={label}
      unit={unit(input.unit)}
      value={value === null ? null : from(value, input.unit)}
      step={input.step}
      least={from(input.least, input.unit)}
      most={from(input.most, input.unit)}
      onChange={(next) => onChange(next === null ? null : to(next, input.unit))}
    />
  );
}

/** What can be picked where an input is no number. */
const OPTION_WORDS: Readonly<Record<string, string>> = { ...SETTING_WORDS, ...PLACE_WORDS };

function InputBox({ input, called, value, origin, onChange }: InputProps) {
  const label = `${called} (${origin === 'changed' ? 'changed' : ORIGIN_WORDS[origin]})`;
  if (input.kind === 'choice')
    return (
      <Choice
        label={label}
        options={input.options.map((option) => ({ value: option, label: OPTION_WORDS[option] ?? option }))}
        value={value as string}
        onChange={onChange}
      />
    );
  return <NumberBox input={input} value={value as number | null} label={label} onChange={onChange} />;
}

interface SumCardProps {
  readonly sum: Sum<Drawing>;
  readonly given: Readonly<Record<string, Given>>;
  readonly craft: CraftFacts;
  /** Whether the inputs are in sight from the start. */
  readonly open?: boolean;
}

function Figures({ figures }: { readonly figures: readonly Figure[] }) {
  const styles = useStyles();
  const { unit, from } = useUnits();
  const inUnit = ({ value, unit: si, places }: Figure) =>
    Number.isFinite(value)
      ? `${from(value, si).toFixed(places)}${si === '' ? '' : `\u00a0${unit(si)}`}`
      : 'no limit';
  return (
    <View style={styles.figures}>
      {figures.map((each) => (
        <View key={each.id} style={styles.figure}>
          <Words as="soft" style={{ flex: 1 }}>
            {figureWords(each.id)}
          </Words>
          <Words as="figure">{inUnit(each)}</Words>
        </View>
      ))}
    </View>
  );
}

/** One sum: its answer, its picture, its figures; change an input and it is worked out again at once. */
export function SumCard({ sum, given, craft, open = false }: SumCardProps) {
  const styles = useStyles();
  const { say, sayM } = useUnits();
  const inWords = useSentence();
  const [changed, setChanged] = useState<Readonly<Record<string, number | string | null>>>({});
  const [isOpen, setOpen] = useState(open);
  const valueOf = (id: string) => (id in changed ? changed[id]! : given[id]!.value);
  const values: Values = Object.fromEntries(
    sum.inputs.map((input) => [input.id, valueOf(input.id) ?? Number.NaN]),
  );
  const notTold = sum.inputs
    .filter((input) => given[input.id]!.origin === 'usual' && !(input.id in changed))
    .map(({ id }) => id);
  const words = sumWords(sum.id);
  const raw = workOut(sum, values, craft);
  // By itself a sum is tried out with whatever stands there; of an occurrence it judges only what was told.
  const outcome = 'worked' in raw && !open ? { worked: judged(sum, raw.worked, notTold) } : raw;
  const assumed = open
    ? []
    : sum.inputs.filter((input) => given[input.id]!.origin === 'usual' && !(input.id in changed));
  return (
    <View style={styles.card} role="group" aria-label={words.question}>
      <Words as="heading">{words.question}</Words>
      {'problem' in outcome ? (
        <Words as="strong" role="alert">{`! ${inWords(outcome.problem)}`}</Words>
      ) : (
        <>
          <View style={styles.answer}>
            <Words as="large" aria-hidden>
              {MARK[outcome.worked.tone]}
            </Words>
            <Words as="strong" style={{ flex: 1 }} aria-live="polite">
              {inWords(outcome.worked.answer)}
            </Words>
          </View>
          {assumed.length > 0 ? (
            <Words as="soft">{`Not told, so as usual: ${assumed.map((input) => words.inputs[input.id]!.toLowerCase()).join(', ')}.`}</Words>
          ) : null}
          <SumPicture drawing={outcome.worked.drawing} say={sayM} />
        </>
      )}
      {isOpen ? (
        <View style={styles.inputs}>
          {sum.inputs.map((input) => (
            <InputBox
              key={input.id}
              input={input}
              called={words.inputs[input.id]!}
              value={valueOf(input.id)}
              origin={input.id in changed ? 'changed' : given[input.id]!.origin}
              onChange={(value) => setChanged({ ...changed, [input.id]: value })}
            />
          ))}
          {Object.keys(changed).length > 0 ? (
            <Button kind="quiet" label="Back to what was given" onPress={() => setChanged({})} />
          ) : null}
          {'worked' in outcome ? <Figures figures={outcome.worked.figures} /> : null}
          <Words>{words.formula}</Words>
          <Words as="soft">{`Assumes: ${words.assumes}`}</Words>
          <Words as="soft">{`Source: ${words.source}`}</Words>
          <Words as="soft">{`Craft: ${craft.massKg} kg, span ${say(craft.spanM, 'm')}, thrust to weight ${craft.thrustToWeight}, top speed ${say(craft.topSpeedMps.normal, 'm/s')} in normal.`}</Words>
        </View>
      ) : null}
      <Button
        kind="quiet"
        label={isOpen ? 'Less' : 'Inputs, formula, source'}
        onPress={() => setOpen(!isOpen)}
        says={`${isOpen ? 'Less' : 'Inputs, formula, source'}: ${words.question}`}
      />
    </View>
  );
}
