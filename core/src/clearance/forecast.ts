import { binomialAtMost } from '../rates/exact-interval';
import { type ClearingRule, gathersEvidence } from './clearing-rule';
import { type Draw, drawFrom, repsToPass } from './evidence/simulated';
import type { Clearance } from './rungs';
import { repsByCurve, untilChecked } from './rule-costs';

/** How reps went lately: what is to come is taken to go alike. */
export interface WentLately {
  readonly met: number;
  readonly missed: number;
}

/** What is still to be flown: the middle one, and what eight in ten lie between. */
export interface Forecast {
  readonly reps: Spread;
  /** Null: nobody counted packs. */
  readonly packs: Spread | null;
  /** Share of those who are not through within the reps that were looked at; 0.1 and more leave no upper end. */
  readonly notThrough: number;
}
export interface Spread {
  readonly middle: number;
  readonly low: number;
  /** Null: more than was looked at. */
  readonly high: number | null;
}

/** Fewer reps than these say nothing of what is to come; more than these are long ago. */
export const FEWEST_LATELY = 8;
const LATELY = 20;
/** Skills that the reps so far leave open, and ways that luck may go for each; more tests of a chart are not looked at. */
const [SKILLS, TIMES, MOST] = [40, 8, 200];
const SEED = 20_261_202;

/** The last reps of the drills that decide, flown on the craft at the standard, that still count. @param reps oldest first */
export function wentLately(
  reps: readonly {
    readonly drillId: string;
    readonly met: boolean;
    readonly level?: number | undefined;
    readonly takenBack: boolean;
    readonly flownOn: 'craft' | 'simulator';
  }[],
  deciding: readonly string[],
): WentLately {
  const counted = reps
    .filter(({ level = 0, takenBack, flownOn }) => !takenBack && level === 0 && flownOn === 'craft')
    .filter(({ drillId }) => deciding.includes(drillId))
    .slice(-LATELY);
  const met = counted.filter((rep) => rep.met).length;
  return { met, missed: counted.length - met };
}

/**
 * How often reps may be missed, by those that were: quantiles of the beta posterior under a uniform prior (Bayes 1763), by
 * its binomial sum.
 */
function missRatesBy({ met, missed }: WentLately): readonly number[] {
  const atMost = (rate: number) => 1 - binomialAtMost(missed, met + missed + 1, rate);
  return Array.from({ length: SKILLS }, (_, i) => {
    let [low, high] = [0, 1];
    for (let k = 0; k < 40; k += 1) {
      const middle = (low + high) / 2;
      if (atMost(middle) < (i + 0.5) / SKILLS) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  });
}

type Standing = Pick<Clearance, 'charts' | 'spent'>;

/** Reps of one way that it may go; null: not through within what is looked at. */
function through(
  rule: ClearingRule,
  { charts, spent }: Standing,
  missRate: number,
  chance: Draw,
): number | null {
  let reps = 0;
  for (const { curve, drillId, side } of charts) {
    if (curve.reachedAt !== null) continue;
    const stands = curve.scores.at(-1) ?? 0;
    const days = spent.find((each) => each.drillId === drillId && each.side === side)?.days ?? 0;
    const from = { evidence: curve.reps === 0 ? 0 : stands, days };
    const tests = gathersEvidence(rule)
      ? repsToPass(rule, { needed: curve.limit, most: MOST, from }, { missRate, withinDay: 0 }, chance)
      : repsByCurve(rule, { missRate }, { most: MOST, from: stands }, chance);
    if (tests === null) return null;
    reps += tests;
  }
  const check = untilChecked(rule, charts.length, missRate, chance);
  return check.passed ? reps + check.reps : null;
}

/** @param sorted more than half of them are through; null, at the end: not through */
function spreadOf(sorted: readonly (number | null)[]): Spread {
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? null;
  return { middle: at(0.5)!, low: at(0.1)!, high: at(0.9) };
}

/**
 * What is still to be flown until the check is passed, where reps go on as they went lately: its spread holds both luck and
 * what so few reps leave open. It is no promise: drills are there to change that.
 * @param repsAPack null: nobody counted packs
 * @returns null where too few reps were flown, or half of those are never through
 */
export function forecastOf(
  rule: ClearingRule,
  standing: Standing,
  lately: WentLately,
  repsAPack: number | null,
): Forecast | null {
  if (lately.met + lately.missed < FEWEST_LATELY || standing.charts.length === 0) return null;
  const chance = drawFrom(SEED);
  const runs = missRatesBy(lately).flatMap((missRate) =>
    Array.from({ length: TIMES }, () => through(rule, standing, missRate, chance)),
  );
  const sorted = [
    ...runs.filter((run) => run !== null).sort((a, b) => a - b),
    ...runs.filter((run) => run === null),
  ];
  const notThrough = runs.filter((run) => run === null).length / runs.length;
  if (notThrough >= 0.5) return null;
  const packsOf = (reps: number | null) => reps && Math.max(1, Math.ceil(reps / repsAPack!));
  return {
    reps: spreadOf(sorted),
    packs: repsAPack === null ? null : spreadOf(sorted.map(packsOf)),
    notThrough,
  };
}

/** Reps that a pack lasts, in the middle; null where nobody counted them. */
export function repsAPackOf(
  reps: readonly { readonly day: string; readonly pack?: number | null | undefined }[],
): number | null {
  const packs = new Map<string, number>();
  for (const { day, pack } of reps)
    if (typeof pack === 'number') packs.set(`${day} ${pack}`, (packs.get(`${day} ${pack}`) ?? 0) + 1);
  const sorted = [...packs.values()].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? null;
}
