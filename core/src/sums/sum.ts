import type { Answers } from '../evidence/question';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { OutOfLimits, type Said, sentence } from '../vocabulary/said';

export type SumUnit = 'm' | 'm/s' | '%' | 'spans' | '°' | '°/s' | 's' | 'min' | 'kg' | 'J' | '';

export interface NumberInput {
  readonly kind: 'number';
  readonly id: string;
  readonly unit: SumUnit;
  readonly least: number;
  readonly most: number;
  /** What one tap of a stepper adds. */
  readonly step: number;
}

export interface ChoiceInput {
  readonly kind: 'choice';
  readonly id: string;
  readonly options: readonly string[];
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
  readonly id: string;
  readonly value: number;
  readonly unit: SumUnit;
  /** Decimal places that the inputs can bear. */
  readonly places: number;
}

export interface Worked<Drawing = unknown> {
  /** Whether it came out against the flight, for it, or neither. */
  readonly tone: 'against' | 'for' | 'open';
  readonly answer: Said;
  readonly figures: readonly Figure[];
  readonly drawing: Drawing;
}

export interface Sum<Drawing = unknown> {
  readonly id: string;
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

/** A number input's value, checked against its limits. */
export function numberIn(sum: Pick<Sum, 'id' | 'inputs'>, values: Values, id: string): number {
  const input = sum.inputs.find((each) => each.id === id);
  const value = values[id];
  if (input?.kind !== 'number') throw new RangeError(`${id} is not a number of this sum.`);
  const { least, most, unit } = input;
  const limits = { input: `${sum.id}.${id}`, least, most, unit: unit && ` ${unit}` };
  if (typeof value !== 'number' || Number.isNaN(value))
    throw new OutOfLimits(sentence('sum.missing', limits));
  if (value < least || value > most) throw new OutOfLimits(sentence('sum.outside', limits));
  return value;
}

export const amount = (
  id: string,
  unit: SumUnit,
  [least, most, step]: readonly [number, number, number],
): NumberInput => ({ kind: 'number', id, unit, least, most, step });
export const figure = (id: string, value: number, unit: SumUnit, places = 1): Figure => ({
  id,
  value,
  unit,
  places,
});
