import { modesFor } from './counts-for-test';
import { drillOf } from '../drills/drills';
import type { FlightMode } from '../vocabulary/flying';
import type { Rep, TestSet, WeaknessFacts } from './facts';

/** Attempts of a set that have no result yet: none once it is called off. Taken back, an attempt keeps its place. */
export const withoutResult = (set: TestSet, reps: readonly Pick<Rep, 'testSetId'>[]): number =>
  set.calledOffAt !== null
    ? 0
    : Math.max(0, set.number - reps.filter(({ testSetId }) => testSetId === set.id).length);

/** The set that is being flown; null where every announced attempt has its result. */
export const openSet = (sets: readonly TestSet[], reps: readonly Pick<Rep, 'testSetId'>[]): TestSet | null =>
  [...sets].reverse().find((set) => withoutResult(set, reps) > 0) ?? null;

/** When a set is over although not all of it was flown: at the next set, a signature, or a rep of a later day. */
function endOf(set: TestSet, { sets = [], moves, reps }: WeaknessFacts): string | null {
  const ends = [
    ...sets.map(({ at }) => at),
    ...moves.filter(({ kind }) => kind === 'signed' || kind === 'signed-early').map(({ at }) => at),
    ...reps.filter(({ day }) => day > set.day).map(({ flownAt }) => flownAt),
  ].filter((at) => at > set.at);
  return ends.sort()[0] ?? null;
}

/**
 * The attempts that were announced and got no result before their set was over: each was missed. No clock decides,
 * so that phone and server agree: an unfinished set stays open until something else is done.
 */
export function unreported(facts: WeaknessFacts, flies: FlightMode): readonly Rep[] {
  return (facts.sets ?? []).flatMap((set): readonly Rep[] => {
    const left = withoutResult(set, facts.reps);
    const end = left > 0 ? endOf(set, facts) : null;
    if (end === null) return [];
    return Array.from({ length: left }, (_, i) => ({
      // Sorts after every result of the same instant.
      id: `~${set.id}/${i}`,
      drillId: set.drillId,
      purpose: 'test',
      met: false,
      side: set.side,
      band: 'calm',
      flownOn: 'craft',
      mode: modesFor(drillOf(set.drillId).assistance, flies)[0]!,
      pilotRelative: false,
      day: set.day,
      // After the last of its results, before what ended it.
      flownAt: facts.reps.filter(({ testSetId }) => testSetId === set.id).at(-1)?.flownAt ?? set.at,
      testSetId: set.id,
      takenBack: false,
    }));
  });
}
