import { chanceClearedWithin } from './chart-probability';
import { limitOf } from './choose-limit';
import {
  CHECK_MET_A_SIDE,
  CHECK_MET_NEEDED,
  CHECK_MISSED_ENDS,
  type ClearingRule,
  gathersEvidence,
  testOf,
  testsADayOf,
} from './clearing-rule';
import { type Draw, drawFrom, type MadeUpPilot, repsToPass } from './evidence/simulated';
import { ScoreLattice } from './score-lattice';

/** Test reps of one chart after which it is looked. */
export const LOOKED_AFTER = [30, 60, 120, 240] as const;
const CHARTS = [1, 2, 4] as const;
/** A modest hanging-together of the reps of one day. */
const TOGETHER = 0.15;
const PILOTS = 1_500;
const SEED = 20_261_129;

/** What a rule costs: how often it lets through who should not be, and what it asks of who should. */
export interface RuleCosts {
  /** Share of pilots at the unacceptable rate let through one chart, by so many test reps. */
  readonly letThrough: readonly {
    readonly reps: number;
    readonly independent: number;
    readonly together: number;
  }[];
  /** Test and check reps, and days, of a competent pilot: the middle one, and nine in ten. */
  readonly competent: readonly {
    readonly charts: number;
    readonly reps: number;
    readonly ninetieth: number;
    readonly days: number;
  }[];
}

const shareBy = (passed: readonly (number | null)[], reps: number): number =>
  passed.filter((at) => at !== null && at <= reps).length / passed.length;

const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))]!;

/**
 * Test reps of the learning curve until its limit; the exact chances of the chart say how often by when.
 * @param from where its score stands
 */
export function repsByCurve(
  rule: ClearingRule,
  pilot: Pick<MadeUpPilot, 'missRate'>,
  { most, from = 0 }: { readonly most: number; readonly from?: number },
  chance: Draw,
): number | null {
  const lattice = new ScoreLattice(rule);
  const { score: limit } = limitOf(rule);
  let score = from;
  for (let rep = 0; rep < most; rep += 1) {
    score = chance() < pilot.missRate ? Math.max(0, score - lattice.fall) : score + lattice.rise;
    if (score >= limit - 1e-9) return rep + 1;
  }
  return null;
}

/** @param needed evidence at which it passes */
const passes = (
  rule: ClearingRule,
  { needed = 100 / rule.riskPercent, most }: { readonly needed?: number; readonly most: number },
  pilot: MadeUpPilot,
  chance: Draw,
) =>
  gathersEvidence(rule)
    ? repsToPass(rule, { needed, most }, pilot, chance)
    : repsByCurve(rule, pilot, { most }, chance);

function letThrough(rule: ClearingRule): RuleCosts['letThrough'] {
  const missRate = rule.unacceptableMissPercent / 100;
  const most = LOOKED_AFTER.at(-1)!;
  if (testOf(rule) === 'learning-curve') {
    const lattice = new ScoreLattice(rule);
    const { point } = limitOf(rule);
    const chances = (withinPack: number) =>
      chanceClearedWithin(
        { lattice, limit: point, missRate, correlation: { withinPack, repsPerPack: testsADayOf(rule) } },
        most,
      );
    const [independent, together] = [chances(0), chances(TOGETHER)];
    return LOOKED_AFTER.map((reps) => ({
      reps,
      independent: independent[reps]!,
      together: together[reps]!,
    }));
  }
  const run = (withinDay: number) => {
    const chance = drawFrom(SEED);
    return Array.from({ length: PILOTS }, () => passes(rule, { most }, { missRate, withinDay }, chance));
  };
  const [independent, together] = [run(0), run(TOGETHER)];
  return LOOKED_AFTER.map((reps) => ({
    reps,
    independent: shareBy(independent, reps),
    together: shareBy(together, reps),
  }));
}

/** Attempts of one check at one chart; its end is by the misses or the hits, whichever come first. */
function checkReps(needed: number, missRate: number, chance: Draw): { reps: number; passed: boolean } {
  let [met, missed] = [0, 0];
  while (met < needed && missed < CHECK_MISSED_ENDS) {
    if (chance() < missRate) missed += 1;
    else met += 1;
  }
  return { reps: met + missed, passed: met >= needed };
}

/** Reps and days of the check of so many charts until it is passed, with what a failed one asks for anew. */
export function untilChecked(
  rule: ClearingRule,
  charts: number,
  missRate: number,
  chance: Draw,
): { reps: number; days: number; passed: boolean } {
  let [reps, days] = [0, 0];
  const needed = charts === 1 ? CHECK_MET_NEEDED : CHECK_MET_A_SIDE;
  for (let tries = 0; tries < 20; tries += 1) {
    const check = Array.from({ length: charts }, () => checkReps(needed, missRate, chance));
    reps += check.reduce((sum, each) => sum + each.reps, 0);
    days += 1;
    if (check.every(({ passed }) => passed)) return { reps, days, passed: true };
    // Two misses take E to a sixteenth of ten: about seven clean tests more.
    reps += testsADayOf(rule) * 2;
    days += 2;
  }
  return { reps, days, passed: false };
}

/** Tests and checks of one competent pilot until the check is passed. */
function oneCompetent(
  rule: ClearingRule,
  needs: readonly number[],
  chance: Draw,
): { reps: number; days: number } {
  const charts = needs.length;
  const pilot: MadeUpPilot = { missRate: rule.acceptableMissPercent / 100, withinDay: 0 };
  const most = LOOKED_AFTER.at(-1)!;
  const tests = needs.map((needed) => passes(rule, { needed, most }, pilot, chance) ?? most);
  const testDays = Math.ceil(Math.max(...tests) / testsADayOf(rule));
  const check = untilChecked(rule, charts, pilot.missRate, chance);
  return { reps: tests.reduce((sum, each) => sum + each, 0) + check.reps, days: testDays + check.days };
}

/**
 * What a competent pilot will need for so many charts: the middle one and nine in ten, tests and check together.
 * @param needs evidence at which each chart passes; a number: so many charts, each asked in full
 */
export function whatItTakes(
  rule: ClearingRule,
  needs: number | readonly number[],
): RuleCosts['competent'][number] {
  const each =
    typeof needs === 'number' ? Array.from({ length: needs }, () => 100 / rule.riskPercent) : needs;
  const charts = each.length;
  const chance = drawFrom(SEED + charts);
  const runs = Array.from({ length: PILOTS / 3 }, () => oneCompetent(rule, each, chance));
  return {
    charts,
    reps: quantile(
      runs.map((run) => run.reps),
      0.5,
    ),
    ninetieth: quantile(
      runs.map((run) => run.reps),
      0.9,
    ),
    days: quantile(
      runs.map((run) => run.days),
      0.5,
    ),
  };
}

/** What a rule costs, worked out for made-up pilots; the learning curve's false clears are exact. */
export const costsOf = (rule: ClearingRule): RuleCosts => ({
  letThrough: letThrough(rule),
  competent: CHARTS.map((charts) => whatItTakes(rule, charts)),
});
