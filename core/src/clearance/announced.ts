import { modesFor } from './counts-for-test';
import { drillOf } from '../drills/drills';
import type { FlightMode } from '../vocabulary/flying';
import type { Rep, TestSet, WeaknessFacts } from './facts';

/** What decides whether an announced attempt got its result. */
type Flown = Pick<WeaknessFacts, 'sets' | 'moves' | 'reps'>;

/** When a set is over although not all of it was flown: at the next set, a signature, or a rep of a later day. */
function endOf(set: TestSet, { sets = [], moves, reps }: Flown): string | null {
  const ends = [
    ...sets.map(({ at }) => at),
    ...moves.filter(({ kind }) => kind === 'signed' || kind === 'signed-early').map(({ at }) => at),
    ...reps.filter(({ day }) => day > set.day).map(({ flownAt }) => flownAt),
  ].filter((at) => at > set.at);
  return ends.sort()[0] ?? null;
}

/**
 * Attempts of a set that have no result: none once it is called off, in time. Taken back, an attempt keeps its place; what is
 * told after the set was over fills no place of it.
 */
export function withoutResult(set: TestSet, flown: Flown): number {
  const end = endOf(set, flown);
  if (set.calledOffAt !== null && (end === null || set.calledOffAt < end)) return 0;
  const results = flown.reps.filter(
    ({ testSetId, flownAt }) => testSetId === set.id && (end === null || flownAt < end),
  );
  return Math.max(0, set.number - results.length);
}

/** The set that is being flown; null where every announced attempt has its result, or its set is over. */
export const openSet = (flown: Flown): TestSet | null =>
  [...(flown.sets ?? [])]
    .reverse()
    .find((set) => endOf(set, flown) === null && withoutResult(set, flown) > 0) ?? null;

/**
 * The attempts that were announced and got no result before their set was over: each was missed. No clock decides,
 * so that phone and server agree: an unfinished set stays open until something else is done.
 */
export function unreported(facts: WeaknessFacts, flies: FlightMode): readonly Rep[] {
  return (facts.sets ?? []).flatMap((set): readonly Rep[] => {
    const end = endOf(set, facts);
    if (end === null) return [];
    const left = withoutResult(set, facts);
    const results = facts.reps.filter(({ testSetId, flownAt }) => testSetId === set.id && flownAt < end);
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
      flownAt:
        results
          .map(({ flownAt: at }) => at)
          .sort()
          .at(-1) ?? set.at,
      testSetId: set.id,
      takenBack: false,
    }));
  });
}
