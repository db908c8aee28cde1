import type { Side } from '../drills/drill';
import { drillOf } from '../drills/drills';
import { addDays, type Day } from '../flying/day';
import { CHECK_ATTEMPTS, CHECK_MET_NEEDED } from './clearing-rule';
import { whyNotCounted } from './counts-for-test';
import { type CoverageCell, coverageOf } from './coverage';
import type { Rep, WeaknessFacts } from './facts';
import { type LearningCurve, learningCurve } from './learning-curve';
import type { RungId, WeaknessState } from './rungs';
import { standingOf } from './standing';

export interface Rung {
  readonly id: RungId;
  readonly met: boolean;
  /** How much of the rung is filled, 0 to 1. */
  readonly share: number;
}

/** One chart: a key drill, and one of its sides where it has them. */
export interface Chart {
  readonly drillId: string;
  readonly side: Side | null;
  readonly curve: LearningCurve;
}

export interface Check {
  /** First day on which a check counts. */
  readonly from: Day;
  readonly drills: readonly { readonly drillId: string; readonly met: number; readonly missed: number; readonly passed: boolean }[];
  readonly passed: boolean;
}

export interface Clearance {
  readonly state: WeaknessState;
  readonly signedEarly: boolean;
  readonly rungs: readonly Rung[];
  readonly charts: readonly Chart[];
  readonly coverage: readonly CoverageCell[];
  readonly days: readonly { readonly drillId: string; readonly days: readonly Day[] }[];
  /** Null until test, coverage and days are met. */
  readonly check: Check | null;
  /** Checks failed since the weakness was last opened; each starts the test again. */
  readonly failedChecks: number;
  /** Live reps since the chart last started, of any purpose. */
  readonly reps: number;
}

const flownOrder = (a: Rep, b: Rep) => (a.flownAt < b.flownAt ? -1 : a.flownAt > b.flownAt ? 1 : a.id < b.id ? -1 : 1);

const chartsOf = (facts: WeaknessFacts, tests: readonly Rep[]): Chart[] =>
  facts.keyDrills.flatMap((drillId) => {
    const { sides } = drillOf(drillId);
    const each: readonly (Side | null)[] = sides.length > 0 ? sides : [null];
    return each.map((side) => {
      const met = tests.filter((rep) => rep.drillId === drillId && (side === null || rep.side === side)).map((rep) => rep.met);
      return { drillId, side, curve: learningCurve(facts.rule, met) };
    });
  });

const daysOf = (facts: WeaknessFacts, tests: readonly Rep[]) =>
  facts.keyDrills.map((drillId) => ({
    drillId,
    days: [...new Set(tests.filter((rep) => rep.drillId === drillId && rep.met).map((rep) => rep.day))].sort(),
  }));

interface FirstThree {
  readonly charts: readonly Chart[];
  readonly coverage: readonly CoverageCell[];
  readonly days: readonly { readonly drillId: string; readonly days: readonly Day[] }[];
  readonly rungs: readonly Rung[];
  readonly met: boolean;
}

const share = (part: number, whole: number) => (whole === 0 ? 0 : part / whole);

/** The rungs that test reps alone can fill: test, coverage, days. */
function firstThree(facts: WeaknessFacts, tests: readonly Rep[]): FirstThree {
  const charts = chartsOf(facts, tests);
  const coverage = coverageOf(facts.keyDrills, facts.pilot.windLimitMps, tests);
  const days = daysOf(facts, tests);
  const { passDays } = facts.rule;
  const shares = {
    test: share(charts.reduce((sum, chart) => sum + chart.curve.share, 0), charts.length),
    coverage: share(coverage.filter((cell) => cell.shown).length, coverage.length),
    days: share(days.reduce((sum, drill) => sum + Math.min(drill.days.length, passDays), 0), days.length * passDays),
  };
  const met = {
    test: charts.length > 0 && charts.every((chart) => chart.curve.reachedAt !== null),
    coverage: coverage.length > 0 && coverage.every((cell) => cell.shown),
    days: days.length > 0 && days.every((drill) => drill.days.length >= passDays),
  };
  const rungs = (['test', 'coverage', 'days'] as const).map((id) => ({ id, met: met[id], share: met[id] ? 1 : shares[id] }));
  return { charts, coverage, days, rungs, met: rungs.every((rung) => rung.met) };
}

interface Round {
  readonly three: FirstThree;
  readonly check: Check | null;
  readonly failedChecks: number;
  readonly reps: number;
}

/** Follows the reps in the order they were flown; a failed check starts the round again. */
function followRound(facts: WeaknessFacts, reps: readonly Rep[]): Round {
  let tests: Rep[] = [];
  // Worked out only when asked for: once for a long run of tests, not once for each.
  let known: FirstThree | null = null;
  const three = () => (known ??= firstThree(facts, tests));
  let lastPractice: Day | null = null;
  let score = new Map<string, { met: number; missed: number }>();
  let failedChecks = 0;
  let flown = 0;

  for (const rep of reps) {
    flown += 1;
    const counted = whyNotCounted(rep, facts.causeId, facts.pilot.mode) === null && facts.keyDrills.includes(rep.drillId);
    const passed = isPassed(facts, score);
    if (rep.purpose !== 'check') {
      if (!passed && (lastPractice === null || rep.day > lastPractice)) lastPractice = rep.day;
      if (rep.purpose === 'test' && counted && !passed) {
        tests.push(rep);
        known = null;
      }
      continue;
    }
    if (!counted || passed || lastPractice === null || !three().met) continue;
    if (rep.day < addDays(lastPractice, facts.rule.checkGapDays)) continue;
    const of = score.get(rep.drillId) ?? { met: 0, missed: 0 };
    if (of.met >= CHECK_MET_NEEDED) continue;
    if (rep.met) of.met += 1; else of.missed += 1;
    score.set(rep.drillId, of);
    if (of.missed > CHECK_ATTEMPTS - CHECK_MET_NEEDED) {
      // Not kept: what was shown before no longer stands, so the test starts again from nothing.
      failedChecks += 1;
      tests = [];
      known = null;
      lastPractice = rep.day;
      score = new Map();
      flown = 0;
    }
  }

  const check = !three().met || lastPractice === null ? null : {
    from: addDays(lastPractice, facts.rule.checkGapDays),
    drills: facts.keyDrills.map((drillId) => {
      const { met, missed } = score.get(drillId) ?? { met: 0, missed: 0 };
      return { drillId, met, missed, passed: met >= CHECK_MET_NEEDED };
    }),
    passed: isPassed(facts, score),
  };
  return { three: three(), check, failedChecks, reps: flown };
}

const isPassed = (facts: WeaknessFacts, score: ReadonlyMap<string, { met: number }>) =>
  facts.keyDrills.length > 0 && facts.keyDrills.every((drillId) => (score.get(drillId)?.met ?? 0) >= CHECK_MET_NEEDED);

function stateOf(standing: 'active' | 'watch' | 'closed' | 'withdrawn', round: Round): WeaknessState {
  if (standing !== 'active') return standing;
  if (round.check) return 'ready-for-check';
  return round.reps > 0 || round.failedChecks > 0 ? 'drilling' : 'open';
}

/**
 * The five rungs of clearance, worked out afresh from what happened: the trainer's moves and the
 * reps flown. Nothing is stored that this cannot work out again.
 */
export function clearanceOf(facts: WeaknessFacts): Clearance {
  const standing = standingOf(facts.moves);
  const from = standing.roundFrom;
  const reps = from === null ? [] : facts.reps.filter((rep) => !rep.takenBack && rep.flownAt >= from).sort(flownOrder);
  const round = followRound(facts, reps);
  const state = stateOf(standing.state, round);
  const signed = state === 'watch' || state === 'closed';
  const keptMet = round.check?.drills.reduce((sum, drill) => sum + drill.met, 0) ?? 0;
  const kept = round.check?.passed ?? false;
  return {
    state,
    signedEarly: standing.signedEarly,
    rungs: [
      ...round.three.rungs,
      { id: 'kept', met: kept, share: kept ? 1 : share(keptMet, facts.keyDrills.length * CHECK_MET_NEEDED) },
      { id: 'signed', met: signed, share: signed ? 1 : 0 },
    ],
    charts: round.three.charts,
    coverage: round.three.coverage,
    days: round.three.days,
    check: round.check,
    failedChecks: round.failedChecks,
    reps: round.reps,
  };
}
