import { flownOrder } from '../vocabulary/flown-order';
import { unreported } from './announced';
import type { Move, WeaknessFacts } from './facts';
import { type CurveTails, tailsOf } from './curve-tails';
import { share } from './first-three';
import { type KeptOpening, Opening } from './opening';
import type { Check, Clearance, WeaknessState } from './rungs';
import { liveMoves, standingOf } from './standing';
import { watchCurveOf } from './watch-curve';

/** At one instant a trainer's move comes first, then what it decides by, then what is flown. */
const ORDER = { move: 0, plan: 1, rep: 2 } as const;

interface Happening {
  readonly at: string;
  readonly order: number;
  readonly happens: (opening: Opening) => void;
}

function moveHappens(move: Move, stands: boolean): Happening['happens'] | null {
  switch (move.kind) {
    case 'opened':
    case 'occurrence-added':
    case 'reopened':
      return (opening) => opening.confirm(move, stands);
    case 'signed':
    case 'signed-early':
      return stands ? (opening) => opening.sign(move.kind === 'signed-early', move.at.slice(0, 10)) : null;
    case 'closed':
      return stands ? (opening) => opening.close() : null;
    case 'undone':
      return null;
  }
}

/** Moves, plans, stamps and reps, in the order in which they happened. @param from instant of the first; absent: all */
function happenings(facts: WeaknessFacts, from = ''): readonly Happening[] {
  const live = new Set(liveMoves(facts.moves));
  const moves = facts.moves.flatMap((move): readonly Happening[] => {
    const happens = moveHappens(move, live.has(move));
    return happens ? [{ at: move.at, order: ORDER.move, happens }] : [];
  });
  const stamps = (facts.stamps ?? []).slice(1).map((stamp) => ({
    at: stamp.at,
    order: ORDER.plan,
    happens: (opening: Opening) => opening.stamp(stamp),
  }));
  const plans = (facts.deciding ?? []).slice(1).map(({ at, keyDrills }) => ({
    at,
    order: ORDER.plan,
    happens: (opening: Opening) => opening.decideBy(keyDrills),
  }));
  const reps = [...facts.reps, ...unreported(facts)].sort(flownOrder).map((rep) => ({
    at: rep.flownAt,
    order: ORDER.rep,
    happens: (opening: Opening) => opening.rep(rep),
  }));
  return [...moves, ...stamps, ...plans, ...reps]
    .filter(({ at }) => at >= from)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.order - b.order));
}

function checkOf(opening: Opening): Check | null {
  const { round, checkFrom, keptOn } = opening;
  if (checkFrom === null || (!round && !opening.isReady)) return null;
  return {
    from: checkFrom,
    drills: opening.checkDrills(),
    passed: keptOn !== null,
  };
}

function stateOf(opening: Opening, check: Check | null): WeaknessState {
  if (opening.phase === 'watch' || opening.phase === 'closed') return opening.phase;
  if (check) return 'ready-for-check';
  return opening.relapsed || opening.flown > 0 || opening.failedAt.length > 0 ? 'drilling' : 'open';
}

const keptShare = ({ drills, passed }: Check): number =>
  passed
    ? 1
    : share(
        drills.reduce((sum, { met, needed }) => sum + Math.min(met, needed), 0),
        drills.reduce((sum, { needed }) => sum + needed, 0),
      );

/** Where a weakness stood before an instant. */
export interface Checkpoint {
  readonly before: string;
  readonly opening: KeptOpening;
  /** What is drawn of the curves up to then; absent: they begin there. */
  readonly curves?: CurveTails;
}

/** @param before what happened from that instant on is left out; absent: nothing is */
function openingOf(facts: WeaknessFacts, since: Checkpoint | null, before?: string): Opening {
  const opening = since ? Opening.from(facts, since.opening, since.curves) : new Opening(facts);
  for (const { at, happens } of happenings(facts, since?.before))
    if (before === undefined || at < before) happens(opening);
  return opening;
}

/**
 * Where it stood before an instant.
 * @param since an earlier one to go on from: of what happened before it the facts need not have the reps
 */
export function checkpointBefore(
  before: string,
  facts: WeaknessFacts,
  since: Checkpoint | null = null,
): Checkpoint {
  const opening = openingOf(facts, since, before);
  return {
    before,
    opening: opening.kept(),
    curves: tailsOf(opening.charts.charts()),
  };
}

/**
 * The rungs by the second edition, in which what was shown must still stand.
 * @param since goes on from there: of the curves before it only the last points are told, and of the days that were met
 * only as many as are asked for; all that decides is the same
 */
export function secondEditionOf(facts: WeaknessFacts, since: Checkpoint | null = null): Clearance {
  const opening = openingOf(facts, since);
  const isWithdrawn = standingOf(facts.moves).state === 'withdrawn';
  const { three, watch, keptOn } = opening;
  const { charts } = three;
  const check = checkOf(opening);
  const state = isWithdrawn ? 'withdrawn' : stateOf(opening, check);
  const signed = state === 'watch' || state === 'closed';
  return {
    state,
    signedEarly: opening.signedEarly && signed,
    isUnproven: opening.isUnproven && signed,
    rungs: [
      ...three.rungs,
      { id: 'kept', met: keptOn !== null, share: keptOn !== null ? 1 : check ? keptShare(check) : 0 },
      { id: 'signed', met: signed, share: signed ? 1 : 0 },
    ],
    charts,
    coverage: three.coverage,
    days: three.days,
    check,
    watch: watch && state === 'watch' ? { ...watch.told(), curve: watchCurveOf(facts, charts) } : null,
    relapsed: opening.relapsed,
    failedChecks: opening.failedAt.length,
    failedAt: opening.failedAt,
    openings: opening.openings,
    spent: opening.charts.spent(),
    reps: opening.flown,
  };
}
