import type { Answers } from '../evidence/question';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { OutOfLimits, type Said, sentence } from '../vocabulary/said';
import { CARRIED_BY_AIR, type DriftDrawing } from './carried-by-air';
import { COULD_IT_STOP, type StoppingDrawing } from './could-it-stop';
import { GOT_HOME, type HomeDrawing } from './got-home';
import { type FallDrawing, IF_IT_FELL } from './if-it-fell';
import { LEAN_AND_TURN, type LeanDrawing } from './lean-and-turn';
import { OWN_WASH, type WashDrawing } from './own-wash';
import { READABLE, type SightDrawing } from './readable';
import { RETURN_CLEARED, type ReturnDrawing } from './return-cleared';
import { type GapDrawing, ROOM_IN_GAP } from './room-in-gap';
import type { Sum, Values, Worked } from './sum';
import { TURN_FOLDED, type TurnDrawing } from './turn-folded';

export type Drawing =
  | StoppingDrawing
  | WashDrawing
  | TurnDrawing
  | LeanDrawing
  | DriftDrawing
  | SightDrawing
  | HomeDrawing
  | ReturnDrawing
  | GapDrawing
  | FallDrawing;

export const SUMS: readonly Sum<Drawing>[] = [
  COULD_IT_STOP,
  OWN_WASH,
  TURN_FOLDED,
  LEAN_AND_TURN,
  CARRIED_BY_AIR,
  READABLE,
  GOT_HOME,
  RETURN_CLEARED,
  ROOM_IN_GAP,
  IF_IT_FELL,
];

export const sumOf = (id: string): Sum<Drawing> | undefined => SUMS.find((sum) => sum.id === id);

/** What the answers rule out: these sums have nothing to say then. */
const POINTLESS: Readonly<Record<string, (known: Answers) => boolean>> = {
  lean: ({ choices }) => choices['height_trend'] !== 'falling',
  drift: ({ choices }) =>
    choices['position_hold'] === 'on' ||
    (choices['position_hold'] === undefined && choices['drift_direction'] !== 'downwind'),
  fold: ({ choices }) => choices['yaw_burst'] === 'none',
  return: ({ choices, numbers }) =>
    choices['auto_return'] === 'none' ||
    (choices['auto_return'] === undefined && !numbers['return_height_m']),
};

/** The sums that have something to say about what was told. */
export const sumsFor = (known: Answers): readonly Sum<Drawing>[] =>
  SUMS.filter(
    (sum) =>
      sum.wants.some((id) => known.choices[id] !== undefined || known.numbers[id] !== undefined) &&
      !POINTLESS[sum.id]?.(known),
  );

/** A sum with its starting values. */
export function startOf(sum: Sum<Drawing>, known: Answers, craft: CraftFacts): Values {
  return Object.fromEntries(Object.entries(sum.start(known, craft)).map(([id, given]) => [id, given.value]));
}

/**
 * The verdict with what nobody told taken out of it: on a guess there is an answer and no judgement.
 * @param notTold ids of the inputs that hold what is usual
 */
export function judged(
  sum: Sum<Drawing>,
  worked: Worked<Drawing>,
  notTold: readonly string[],
): Worked<Drawing> {
  const guessed = sum.inputs.filter(({ id }) => sum.decides.includes(id) && notTold.includes(id));
  if (guessed.length === 0) return worked;
  const inputs = guessed.map(({ id }) => `${sum.id}.${id}`);
  return { ...worked, tone: 'open', answer: sentence('sum.guessed', { inputs, answer: worked.answer }) };
}

/** What was worked out, or why it could not be. */
export type SumOutcome = { readonly worked: Worked<Drawing> } | { readonly problem: Said };

export function workOut(sum: Sum<Drawing>, values: Values, craft: CraftFacts): SumOutcome {
  try {
    return { worked: sum.work(values, craft) };
  } catch (error) {
    if (error instanceof OutOfLimits) return { problem: error.said };
    if (error instanceof RangeError) return { problem: sentence('sum.formula', { limit: error.message }) };
    throw error;
  }
}

/** What a sum says of an occurrence: worked out from what was told, and judging no guess. */
export function workedFor(sum: Sum<Drawing>, known: Answers, craft: CraftFacts): SumOutcome {
  const given = sum.start(known, craft);
  const outcome = workOut(sum, startOf(sum, known, craft), craft);
  const notTold = Object.keys(given).filter((id) => given[id]!.origin === 'usual');
  return 'worked' in outcome ? { worked: judged(sum, outcome.worked, notTold) } : outcome;
}
