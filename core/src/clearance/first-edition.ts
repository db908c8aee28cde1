import { flownOrder } from '../vocabulary/flown-order';
import type { Side } from '../drills/drill';
import { drillOf } from '../drills/drills';
import { addDays, type Day } from '../vocabulary/day';
import { CheckTally } from './check-tally';
import { CHECK_MET_NEEDED } from './clearing-rule';
import { whyNotCounted } from './counts-for-test';
import { coverageOf } from './coverage';
import { daysOf } from './days-of';
import type { Rep, WeaknessFacts } from './facts';
import { firstThree, type FirstThree, share } from './first-three';
import { learningCurve } from './learning-curve';
import type { Chart, Check, Clearance, WeaknessState } from './rungs';
import { standingOf } from './standing';
import { followWatch, type FollowedWatch } from './watch';

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

const shownIn = (facts: WeaknessFacts, tests: readonly Rep[]): FirstThree =>
  firstThree(
    {
      charts: chartsOf(facts, tests),
      coverage: coverageOf(facts.keyDrills, facts.pilot.windLimitMps, { counted: tests }),
      days: daysOf(facts.keyDrills, tests),
    },
    facts.rule,
  );

interface Round {
  readonly three: FirstThree;
  readonly check: Check | null;
  readonly failedAt: readonly string[];
  readonly reps: number;
  /** Day on which the check was passed. */
  readonly keptOn: Day | null;
}

/** A round as it goes on, rep by rep. */
class RoundSoFar {
  private tests: Rep[] = [];
  /** Worked out only when asked for: once for a long run of tests, not once for each. */
  private known: FirstThree | null = null;
  private lastPractice: Day | null = null;
  private tally: CheckTally;
  private keptOn: Day | null = null;
  private readonly failedAt: string[] = [];
  private flown = 0;

  constructor(private readonly facts: WeaknessFacts) {
    this.tally = new CheckTally(facts.keyDrills);
  }

  fly(rep: Rep): void {
    this.flown += 1;
    if (this.facts.failedAt?.includes(rep.id)) this.fail(rep);
    else if (rep.purpose === 'check') this.check(rep);
    else this.practise(rep);
  }

  get told(): Round {
    const { facts, lastPractice, tally, failedAt, flown: reps, keptOn } = this;
    const three = this.three();
    const from = three.met && lastPractice !== null ? addDays(lastPractice, facts.rule.checkGapDays) : null;
    const check = from === null ? null : { from, drills: tally.drills(), passed: tally.passed() };
    return { three, check, failedAt, reps, keptOn };
  }

  private three(): FirstThree {
    return (this.known ??= shownIn(this.facts, this.tests));
  }

  private isCounted(rep: Rep): boolean {
    const { causeId, pilot, keyDrills } = this.facts;
    return whyNotCounted(rep, causeId, { mode: pilot.mode }) === null && keyDrills.includes(rep.drillId);
  }

  /** Not kept: what was shown before no longer stands, so the test starts again from nothing. */
  private fail(rep: Rep): void {
    this.failedAt.push(rep.id);
    this.tests = [];
    this.known = null;
    this.lastPractice = rep.day;
    this.tally = new CheckTally(this.facts.keyDrills);
    this.flown = 0;
  }

  private practise(rep: Rep): void {
    if (this.tally.passed()) return;
    if (this.lastPractice === null || rep.day > this.lastPractice) this.lastPractice = rep.day;
    if (rep.purpose !== 'test' || !this.isCounted(rep)) return;
    this.tests.push(rep);
    this.known = null;
  }

  private check(rep: Rep): void {
    if (!this.isCounted(rep) || this.tally.passed() || this.lastPractice === null || !this.three().met)
      return;
    if (rep.day < addDays(this.lastPractice, this.facts.rule.checkGapDays)) return;
    const ended = this.tally.add(rep);
    if (ended === 'passed') this.keptOn = rep.day;
    if (ended === 'failed') this.fail(rep);
  }
}

/** Follows the reps in the order they were flown; a failed check starts the round again. */
function followRound(facts: WeaknessFacts, reps: readonly Rep[]): Round {
  const round = new RoundSoFar(facts);
  for (const rep of reps) round.fly(rep);
  return round.told;
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
 * The rungs by the first edition: the learning curve's limit is reached once and for all, one hit shows a cell
 * of the coverage, and a failed check starts the test again from nothing. A weakness that was opened under it is
 * cleared by it.
 */
export function firstEditionOf(facts: WeaknessFacts): Clearance {
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
      ? { curve: watched.curve, checks: watched.checks, next: watched.next, limited: false, secondBy: null }
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
    openings: facts.moves.filter(({ kind }) => kind === 'opened' || kind === 'reopened').length,
    spent: [],
    reps: round.reps,
  };
}
