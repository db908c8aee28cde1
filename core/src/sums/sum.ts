import type { Answers } from '../evidence/question';
import type { CraftFacts } from '../vocabulary/craft-facts';

export type SumUnit = 'm' | 'm/s' | '%' | 'spans' | '°' | '°/s' | 's' | 'min' | 'kg' | 'J' | '';

export interface NumberInput {
  readonly kind: 'number';
  readonly id: string;
  readonly label: string;
  readonly unit: SumUnit;
  readonly least: number;
  readonly most: number;
  /** What one tap of a stepper adds. */
  readonly step: number;
}

export interface ChoiceInput {
  readonly kind: 'choice';
  readonly id: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

export type SumInput = NumberInput | ChoiceInput;

/** Where a value came from: what the pilot told, the craft's record, or what is usual. */
export type Origin = 'told' | 'craft' | 'usual';

export interface Given {
  readonly value: number | string;
  readonly origin: Origin;
}

/** Values by input id, SI units. */
export type Values = Readonly<Record<string, number | string>>;

export interface Figure {
  readonly label: string;
  readonly value: number;
  readonly unit: SumUnit;
  /** Decimal places that the inputs can bear. */
  readonly places: number;
}

export interface Worked<Drawing = unknown> {
  /** Whether it came out against the flight, for it, or neither. */
  readonly tone: 'against' | 'for' | 'open';
  /**
   * The answer in one sentence; `{m:12.3}` and `{v:4.5}` stand for a length and a speed, to be said in the
   * school's units.
   */
  readonly answer: string;
  readonly figures: readonly Figure[];
  readonly drawing: Drawing;
}

export interface Sum<Drawing = unknown> {
  readonly id: string;
  readonly question: string;
  readonly formula: string;
  readonly source: string;
  readonly assumes: string;
  readonly inputs: readonly SumInput[];
  /** The question ids without which it has nothing to say about an occurrence. */
  readonly wants: readonly string[];
  /** Inputs that decide the verdict: while nobody has told one of them there is none. */
  readonly decides: readonly string[];
  readonly start: (known: Answers, craft: CraftFacts) => Readonly<Record<string, Given>>;
  /** @throws RangeError when a value lies outside its input's limits */
  readonly work: (values: Values, craft: CraftFacts) => Worked<Drawing>;
}

export const told = (known: Answers, id: string, usual: number): Given => {
  const number = known.numbers[id];
  return number ? { value: number.value, origin: 'told' } : { value: usual, origin: 'usual' };
};
export const toldChoice = (known: Answers, id: string, usual: string): Given => {
  const value = known.choices[id];
  return value === undefined || value === 'unknown'
    ? { value: usual, origin: 'usual' }
    : { value, origin: 'told' };
};
export const ofCraft = (value: number): Given => ({ value, origin: 'craft' });
export const usual = (value: number): Given => ({ value, origin: 'usual' });

const trimmed = (value: number) => Math.round(value * 100) / 100;

/** A number input's value, checked against its limits. */
export function numberIn(sum: Pick<Sum, 'inputs'>, values: Values, id: string): number {
  const input = sum.inputs.find((each) => each.id === id);
  const value = values[id];
  if (input?.kind !== 'number') throw new RangeError(`${id} is not a number of this sum.`);
  const limits = `give a number from ${input.least} to ${input.most}${input.unit && ` ${input.unit}`}`;
  if (typeof value !== 'number' || Number.isNaN(value))
    throw new RangeError(`${input.label} is missing: ${limits}.`);
  if (value < input.least || value > input.most)
    throw new RangeError(`${input.label} lies outside its limits: ${limits}.`);
  return value;
}

export const metres = (value: number): string => `{m:${trimmed(value)}}`;
export const speed = (value: number): string => `{v:${trimmed(value)}}`;

export const amount = (
  id: string,
  label: string,
  unit: SumUnit,
  [least, most, step]: readonly [number, number, number],
): NumberInput => ({ kind: 'number', id, label, unit, least, most, step });
export const figure = (label: string, value: number, unit: SumUnit, places = 1): Figure => ({
  label,
  value,
  unit,
  places,
});
