import { modesFor } from './counts-for-test';
import { drillOf } from '../drills/drills';
import { flownOrder } from '../vocabulary/flown-order';
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
 * How far a set has come. Without result is nothing once it is called off, in time. Taken back, an attempt keeps its
 * place; what is told after the set was over fills none of it.
 */
function standingOf(set: TestSet, flown: Flown) {
  const end = endOf(set, flown);
  const isInTime = (at: string) => end === null || at < end;
  const results = flown.reps.filter(({ testSetId, flownAt }) => testSetId === set.id && isInTime(flownAt));
  const isCalledOff = set.calledOffAt !== null && isInTime(set.calledOffAt);
  const left = isCalledOff ? 0 : Math.max(0, set.number - results.length);
  return { isOver: end !== null, results, left };
}

/** Attempts of a set that have no result. */
export const withoutResult = (set: TestSet, flown: Flown): number => standingOf(set, flown).left;

/** The set that is being flown; null where every announced attempt has its result, or its set is over. */
export const openSet = (flown: Flown): TestSet | null =>
  (flown.sets ?? []).findLast((set) => {
    const { isOver, left } = standingOf(set, flown);
    return !isOver && left > 0;
  }) ?? null;

/**
 * The attempts that were announced and got no result before their set was over: each was missed. No clock decides,
 * so that phone and server agree: an unfinished set stays open until something else is done.
 */
export function unreported(facts: WeaknessFacts): readonly Rep[] {
  return (facts.sets ?? []).flatMap((set): readonly Rep[] => {
    const { isOver, results, left } = standingOf(set, facts);
    if (!isOver) return [];
    // As it had to be flown when it was announced: a later stamp takes no miss away.
    const flies = facts.stamps?.findLast(({ at }) => at <= set.at) ?? facts.stamps?.[0] ?? facts.pilot;
    const last = [...results].sort(flownOrder).at(-1)?.flownAt ?? set.at;
    return Array.from({ length: left }, (_, i) => ({
      // Sorts after every result of the same instant.
      id: `~${set.id}/${i}`,
      drillId: set.drillId,
      purpose: 'test',
      met: false,
      side: set.side,
      band: 'calm',
      flownOn: 'craft',
      mode: modesFor(drillOf(set.drillId), flies)[0]!,
      pilotRelative: false,
      day: set.day,
      flownAt: last,
      testSetId: set.id,
      takenBack: false,
    }));
  });
}
