import { binomialAtMost } from '../rates/exact-interval';
import {
  CHECK_MET_A_SIDE,
  CHECK_MET_NEEDED,
  type ClearingRule,
  gathersEvidence,
  testsADayOf,
} from './clearing-rule';
import { type Draw, drawFrom, repsToPass } from './evidence/simulated';
import type { Clearance } from './rungs';
import { checkReps, repsByCurve } from './rule-costs';

/** How reps went lately: what is to come is taken to go alike. */
export interface WentLately {
  readonly met: number;
  readonly missed: number;
}

/** What is still to be flown: the middle one, and what eight in ten lie between. */
export interface Forecast {
  readonly reps: Spread;
  readonly days: Spread;
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

/** The last reps of the drills that decide, flown at the standard, that still count. @param reps oldest first */
export function wentLately(
  reps: readonly {
    readonly drillId: string;
    readonly met: boolean;
    readonly level?: number | undefined;
    readonly takenBack: boolean;
  }[],
  deciding: readonly string[],
): WentLately {
  const counted = reps
    .filter(({ drillId, level = 0, takenBack }) => !takenBack && level === 0 && deciding.includes(drillId))
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

interface Through {
  readonly reps: number;
  readonly days: number;
}

type Standing = Pick<Clearance, 'charts' | 'spent'>;

/** One way that it may go; null: not through within what is looked at. */
function through(
  rule: ClearingRule,
  { charts, spent }: Standing,
  missRate: number,
  chance: Draw,
): Through | null {
  let [reps, days] = [0, 0];
  for (const { curve, drillId, side } of charts) {
    if (curve.reachedAt !== null) continue;
    const stands = curve.scores.at(-1) ?? 0;
    const spentDays = spent.find((each) => each.drillId === drillId && each.side === side)?.days ?? 0;
    const tests = gathersEvidence(rule)
      ? repsToPass(
          rule,
          {
            needed: curve.limit,
            most: MOST,
            from: { evidence: curve.reps === 0 ? 0 : stands, days: spentDays },
          },
          { missRate, withinDay: 0 },
          chance,
        )
      : repsByCurve(rule, { missRate }, { most: MOST, from: stands }, chance);
    if (tests === null) return null;
    reps += tests;
    days = Math.max(days, Math.ceil(tests / testsADayOf(rule)));
  }
  const needed = charts.length === 1 ? CHECK_MET_NEEDED : CHECK_MET_A_SIDE;
  // A check that fails begins tests again: that once is counted as so many tests more.
  for (let tries = 0; tries < 6; tries += 1) {
    const checks = charts.map(() => checkReps(needed, missRate, chance));
    reps += checks.reduce((sum, each) => sum + each.reps, 0);
    days += 1;
    if (checks.every(({ passed }) => passed)) return { reps, days };
    reps += testsADayOf(rule) * 2;
    days += 2;
  }
  return null;
}

function spreadOf(sorted: readonly (number | null)[]): Spread {
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? null;
  return { middle: at(0.5) ?? MOST, low: at(0.1) ?? MOST, high: at(0.9) };
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
  const notThrough = runs.filter((run) => run === null).length / runs.length;
  if (notThrough >= 0.5) return null;
  const sorted = (of: (run: Through) => number) =>
    runs
      .map((run) => (run === null ? Infinity : of(run)))
      .sort((a, b) => a - b)
      .map((value) => (value === Infinity ? null : value));
  return {
    reps: spreadOf(sorted(({ reps }) => reps)),
    days: spreadOf(sorted(({ days }) => days)),
    packs:
      repsAPack === null ? null : spreadOf(sorted(({ reps }) => Math.max(1, Math.ceil(reps / repsAPack)))),
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
