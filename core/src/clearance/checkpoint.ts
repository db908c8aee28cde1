import { flownOrder } from '../vocabulary/flown-order';
import { overSince } from './announced';
import { isFirstEdition } from './clearing-rule';
import type { WeaknessFacts } from './facts';

/** Raised whenever the same reps come to stand otherwise: what was kept before is not gone on from. */
const EDITION = 1;

/** Whether a weakness of this rule can be gone on from in the middle. */
export const hasCheckpoints = ({ rule }: Pick<WeaknessFacts, 'rule'>): boolean => !isFirstEdition(rule);

/**
 * All that a checkpoint hangs on beside the reps flown and the tests announced before it: where this is another, it
 * does not hold.
 */
export function inputsOf(facts: WeaknessFacts): string {
  const { causeId, keyDrills, pilot, stamps, deciding, rule, moves } = facts;
  return JSON.stringify([
    EDITION,
    ...[causeId, keyDrills, pilot, stamps, deciding, rule],
    moves.map(({ id, kind, at, undoes, happenedOn = null }) => [id, kind, at, undoes, happenedOn]),
  ]);
}

/** So many flying days back a place is looked for. */
const LOOKED_BACK = 10;

/**
 * Where a checkpoint may stand: the beginning of the last flying day by which every test announced before was over.
 * @returns an instant; null where there is none
 */
export function checkpointPlace(facts: WeaknessFacts): string | null {
  const reps = [...facts.reps].sort(flownOrder);
  const begins = reps.filter((rep, i) => i > 0 && rep.day !== reps[i - 1]!.day).map(({ flownAt }) => flownAt);
  const isOver = overSince(facts);
  return begins.slice(-LOOKED_BACK).findLast(isOver) ?? null;
}
