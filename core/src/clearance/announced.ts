import { modesFor } from './counts-for-test';
import { drillOf } from '../drills/drills';
import { flownOrder } from '../vocabulary/flown-order';
import type { Rep, TestSet, WeaknessFacts } from './facts';

/** What decides whether an announced attempt got its result. */
type Flown = Pick<WeaknessFacts, 'sets' | 'moves' | 'reps'>;

/** Index of the first that is later. @param instants oldest first */
function firstAfter(instants: readonly string[], at: string): number {
  let [low, high] = [0, instants.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (instants[middle]! > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** What was flown, put in order once: of a much-drilled weakness there are hundreds of sets and thousands of reps. */
function ordered({ sets = [], moves, reps }: Flown) {
  const flown = [...reps].sort(flownOrder);
  const flownAt = flown.map((rep) => rep.flownAt);
  const ends = [
    ...sets.map(({ at }) => at),
    ...moves.filter(({ kind }) => kind === 'signed' || kind === 'signed-early').map(({ at }) => at),
  ].sort();
  const ofSet = new Map<string, Rep[]>();
  for (const rep of flown) {
    if (!rep.testSetId) continue;
    const there = ofSet.get(rep.testSetId);
    if (there) there.push(rep);
    else ofSet.set(rep.testSetId, [rep]);
  }
  return {
    resultsOf: ({ id }: TestSet): readonly Rep[] => ofSet.get(id) ?? [],
    /** When a set is over although not all of it was flown: at the next set, a signature, or a rep of a later day. */
    endOf: ({ at, day }: TestSet): string | null => {
      const next = ends[firstAfter(ends, at)] ?? null;
      let i = firstAfter(flownAt, at);
      while (i < flown.length && flown[i]!.day <= day) i += 1;
      const later = flownAt[i] ?? null;
      return next === null || (later !== null && later < next) ? later : next;
    },
  };
}

/**
 * How far a set has come. Without result is nothing once it is called off, in time. Taken back, an attempt keeps its
 * place; what is told after the set was over fills none of it.
 */
function standingOf(set: TestSet, { endOf, resultsOf }: ReturnType<typeof ordered>) {
  const end = endOf(set);
  const isInTime = (at: string) => end === null || at < end;
  const results = resultsOf(set).filter(({ flownAt }) => isInTime(flownAt));
  const isCalledOff = set.calledOffAt !== null && isInTime(set.calledOffAt);
  const left = isCalledOff ? 0 : Math.max(0, set.number - results.length);
  return { isOver: end !== null, results, left };
}

/** Whether every set that was announced before an instant was over by then, whatever is flown later. */
export function overSince(flown: Flown): (instant: string) => boolean {
  const { endOf } = ordered(flown);
  const ends = (flown.sets ?? []).map((set) => ({ at: set.at, end: endOf(set) }));
  return (instant) => ends.every(({ at, end }) => at >= instant || (end !== null && end <= instant));
}

/** Attempts of a set that have no result. */
export const withoutResult = (set: TestSet, flown: Flown): number => standingOf(set, ordered(flown)).left;

/** The set that is being flown; null where every announced attempt has its result, or its set is over. */
export function openSet(flown: Flown): TestSet | null {
  const inOrder = ordered(flown);
  return (
    (flown.sets ?? []).findLast((set) => {
      const { isOver, left } = standingOf(set, inOrder);
      return !isOver && left > 0;
    }) ?? null
  );
}

/**
 * The attempts that were announced and got no result before their set was over: each was missed. No clock decides,
 * so that phone and server agree: an unfinished set stays open until something else is done.
 */
export function unreported(facts: WeaknessFacts): readonly Rep[] {
  const inOrder = ordered(facts);
  return (facts.sets ?? []).flatMap((set): readonly Rep[] => {
    const { isOver, results, left } = standingOf(set, inOrder);
    if (!isOver) return [];
    // As it had to be flown when it was announced: a later stamp takes no miss away.
    const flies = facts.stamps?.findLast(({ at }) => at <= set.at) ?? facts.stamps?.[0] ?? facts.pilot;
    const last = results.at(-1)?.flownAt ?? set.at;
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
