import { flownOrder } from '../vocabulary/flown-order';
import type { Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import { addDays, type Day } from '../vocabulary/day';
import { CheckTally, type DrillTally } from './check-tally';
import { CHECK_MET_NEEDED } from './clearing-rule';
import { whyNotCounted } from './counts-for-test';
import { type CoverageCell, coverageOf } from './coverage';
import type { Rep, WeaknessFacts } from './facts';
import { type LearningCurve, learningCurve } from './learning-curve';
import type { RungId, WeaknessState } from './rungs';
import { standingOf } from './standing';
import { followWatch, type FollowedWatch, type Watch } from './watch';

export interface Rung {
  readonly id: RungId;
  readonly met: boolean;
  /** How much of the rung is filled, 0 to 1. */
  readonly share: number;
}

/** One chart: a key drill, and one of its sides where it has them. */
export interface Chart {
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly curve: LearningCurve;
}

export interface Check {
  /** First day on which a check counts. */
  readonly from: Day;
  readonly drills: readonly DrillTally[];
  readonly passed: boolean;
}

export interface Clearance {
  readonly state: WeaknessState;
  readonly signedEarly: boolean;
  readonly rungs: readonly Rung[];
  readonly charts: readonly Chart[];
  readonly coverage: readonly CoverageCell[];
  readonly days: readonly { readonly drillId: DrillId; readonly days: readonly Day[] }[];
  /** Null until test, coverage and days are met. */
  readonly check: Check | null;
  /** From the signature on; null before it. */
  readonly watch: Watch | null;
  /** Called back by the relapse chart since the last signature. */
  readonly relapsed: boolean;
  /** Checks failed since the weakness was last opened; each starts the test again. */
  readonly failedChecks: number;
  /** The reps with which they failed. */
  readonly failedAt: readonly string[];
  /** Live reps since the chart last started, of any purpose. */
  readonly reps: number;
}

const chartsOf = (facts: WeaknessFacts, tests: readonly Rep[]): Chart[] =>
  facts.keyDrills.flatMap((drillId) => {
    const { sides } = drillOf(drillId);
    const each: readonly (Side | null)[] = sides.length > 0 ? sides : [null];
    return each.map((side) => {
      const met = tests
        .filter((rep) => rep.drillId === drillId && (side === null || rep.side === side))
        .map((rep) => rep.met);
      return { drillId, side, curve: learningCurve(facts.rule, met) };
    });
  });

const daysOf = (facts: WeaknessFacts, tests: readonly Rep[]) =>
  facts.keyDrills.map((drillId) => ({
    drillId,
    days: [
      ...new Set(tests.filter((rep) => rep.drillId === drillId && rep.met).map((rep) => rep.day)),
    ].sort(),
  }));

interface FirstThree {
  readonly charts: readonly Chart[];
  readonly coverage: readonly CoverageCell[];
  readonly days: readonly { readonly drillId: DrillId; readonly days: readonly Day[] }[];
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
    test: share(
      charts.reduce((sum, chart) => sum + chart.curve.share, 0),
      charts.length,
    ),
    coverage: share(coverage.filter((cell) => cell.shown).length, coverage.length),
    days: share(
      days.reduce((sum, drill) => sum + Math.min(drill.days.length, passDays), 0),
      days.length * passDays,
    ),
  };
  const met = {
    test: charts.length > 0 && charts.every((chart) => chart.curve.reachedAt !== null),
    coverage: coverage.length > 0 && coverage.every((cell) => cell.shown),
    days: days.length > 0 && days.every((drill) => drill.days.length >= passDays),
  };
  const rungs = (['test', 'coverage', 'days'] as const).map((id) => ({
    id,
    met: met[id],
    share: met[id] ? 1 : shares[id],
  }));
  return { charts, coverage, days, rungs, met: rungs.every((rung) => rung.met) };
}

interface Round {
  readonly three: FirstThree;
  readonly check: Check | null;
  readonly failedAt: readonly string[];
  readonly reps: number;
  /** Day on which the check was passed. */
  readonly keptOn: Day | null;
}

/** Follows the reps in the order they were flown; a failed check starts the round again. */
function followRound(facts: WeaknessFacts, reps: readonly Rep[]): Round {
  let tests: Rep[] = [];
  // Worked out only when asked for: once for a long run of tests, not once for each.
  let known: FirstThree | null = null;
  const three = () => (known ??= firstThree(facts, tests));
  let lastPractice: Day | null = null;
  let tally = new CheckTally(facts.keyDrills);
  let keptOn: Day | null = null;
  const failedAt: string[] = [];
  let flown = 0;
  /** Not kept: what was shown before no longer stands, so the test starts again from nothing. */
  const fail = (rep: Rep) => {
    failedAt.push(rep.id);
    tests = [];
    known = null;
    lastPractice = rep.day;
    tally = new CheckTally(facts.keyDrills);
    flown = 0;
  };

  for (const rep of reps) {
    flown += 1;
    if (facts.failedAt?.includes(rep.id)) {
      fail(rep);
      continue;
    }
    const counted =
      whyNotCounted(rep, facts.causeId, facts.pilot.mode) === null && facts.keyDrills.includes(rep.drillId);
    const passed = tally.passed();
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
    const ended = tally.add(rep);
    if (ended === 'passed') keptOn = rep.day;
    if (ended === 'failed') fail(rep);
  }

  const check =
    !three().met || lastPractice === null
      ? null
      : {
          from: addDays(lastPractice, facts.rule.checkGapDays),
          drills: tally.drills(),
          passed: tally.passed(),
        };
  return { three: three(), check, failedAt, reps: flown, keptOn };
}

function stateOf(standing: 'active' | 'watch' | 'closed' | 'withdrawn', round: Round): WeaknessState {
  if (standing !== 'active') return standing;
  if (round.check) return 'ready-for-check';
  return round.reps > 0 || round.failedAt.length > 0 ? 'drilling' : 'open';
}

interface Followed {
  readonly round: Round;
  readonly watched: FollowedWatch | null;
  readonly relapsed: boolean;
}

/**
 * Each signature ends a round and begins a watch; a watch whose chart calls the pilot back begins a round
 * with the reps after that one.
 */
function followSignatures(
  facts: WeaknessFacts,
  signatures: readonly string[],
  reps: readonly Rep[],
): Followed {
  let left = reps;
  let last: Followed | null = null;
  for (const [i, at] of signatures.entries()) {
    const next = signatures[i + 1];
    const round = followRound(
      facts,
      left.filter((rep) => rep.flownAt < at),
    );
    const seen = left.filter((rep) => rep.flownAt >= at && (next === undefined || rep.flownAt < next));
    const watched = followWatch(
      facts,
      seen,
      round.keptOn === null ? null : { day: round.keptOn, passed: true },
      at.slice(0, 10),
    );
    const { alarm } = watched;
    if (alarm) left = left.filter((rep) => flownOrder(rep, alarm) > 0);
    last = { round, watched, relapsed: alarm !== null };
  }
  return last && !last.relapsed
    ? last
    : { round: followRound(facts, left), watched: null, relapsed: last?.relapsed ?? false };
}

/**
 * The five rungs of clearance, worked out afresh from what happened: the trainer's moves and the
 * reps flown. Nothing is stored that this cannot work out again.
 */
export function clearanceOf(facts: WeaknessFacts): Clearance {
  const standing = standingOf(facts.moves);
  const { roundFrom } = standing;
  const reps =
    roundFrom === null
      ? []
      : facts.reps.filter((rep) => !rep.takenBack && rep.flownAt >= roundFrom).sort(flownOrder);
  const { round, watched, relapsed } = followSignatures(facts, standing.signatures, reps);
  const state = relapsed ? (round.check ? 'ready-for-check' : 'drilling') : stateOf(standing.state, round);
  const watch =
    watched && state === 'watch'
      ? { curve: watched.curve, checks: watched.checks, next: watched.next }
      : null;
  const signed = state === 'watch' || state === 'closed';
  const keptMet = round.check?.drills.reduce((sum, drill) => sum + drill.met, 0) ?? 0;
  const kept = round.check?.passed ?? false;
  return {
    state,
    signedEarly: standing.signedEarly && !relapsed,
    rungs: [
      ...round.three.rungs,
      { id: 'kept', met: kept, share: kept ? 1 : share(keptMet, facts.keyDrills.length * CHECK_MET_NEEDED) },
      { id: 'signed', met: signed, share: signed ? 1 : 0 },
    ],
    charts: round.three.charts,
    coverage: round.three.coverage,
    days: round.three.days,
    check: round.check,
    watch,
    relapsed,
    failedChecks: round.failedAt.length,
    failedAt: round.failedAt,
    reps: round.reps,
  };
}
