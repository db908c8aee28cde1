import fc from 'fast-check';
import { Diary } from '../testing/diary';
import { openSet, unreported, withoutResult } from './announced';
import type { Rep, TestSet } from './facts';

/**
 * An attempt that was announced and not written down was missed: or one miss in four is left out, and nobody
 * sees it.
 */

const set = (
  id: string,
  day: string,
  minute: number,
  number: number,
  more: Partial<TestSet> = {},
): TestSet => ({
  id,
  drillId: 'tail-in-hover',
  side: null,
  number,
  day,
  at: `${day}T00:${String(minute).padStart(2, '0')}:30.000Z`,
  calledOffAt: null,
  ...more,
});
const scoresOf = (diary: Diary) =>
  diary.now().charts[0]!.curve.scores.map((score) => Number(score.toFixed(4)));

test('four announced, three met, and the fourth never told: missed once another day is flown', () => {
  const diary = new Diary();
  diary.more = { sets: [set('a', '2026-03-03', 1, 4)] };
  diary.met('2026-03-03', 3, { testSetId: 'a' });
  // Still being flown: nothing is held against it.
  expect(diary.now().charts[0]!.curve.reps).toBe(3);
  diary.met('2026-03-04', 1, { band: 'light' });
  expect(diary.now().charts[0]!.curve.reps).toBe(5);
  const told = new Diary()
    .met('2026-03-03', 3)
    .missed('2026-03-03', 1)
    .met('2026-03-04', 1, { band: 'light' });
  expect(scoresOf(diary)).toEqual(scoresOf(told));
});

test('called off before it began is no miss; a signature or another set ends what is left', () => {
  const off = new Diary();
  off.more = { sets: [set('a', '2026-03-03', 1, 4, { calledOffAt: '2026-03-03T01:00:00.000Z' })] };
  off.met('2026-03-03', 2, { testSetId: 'a' }).met('2026-03-04', 1);
  expect(off.now().charts[0]!.curve.reps).toBe(3);

  // Called off once it was over, it changes nothing.
  const late = new Diary();
  late.more = { sets: [set('a', '2026-03-03', 1, 4, { calledOffAt: '2026-03-05T01:00:00.000Z' })] };
  late.met('2026-03-03', 2, { testSetId: 'a' }).met('2026-03-04', 1);
  expect(late.now().charts[0]!.curve.reps).toBe(5);

  const next = new Diary();
  next.more = { sets: [set('a', '2026-03-03', 1, 2), set('b', '2026-03-03', 30, 1)] };
  expect(next.now().charts[0]!.curve.reps).toBe(2);

  const signed = new Diary();
  signed.more = { sets: [set('a', '2026-03-03', 1, 3)] };
  signed.move('signed-early', '2026-03-05');
  expect(signed.now().charts[0]!.curve.reps).toBe(3);
});

test('a later stamp of another mode takes no miss away that was announced before it', () => {
  const diary = new Diary();
  const at = '2026-03-05T09:00:00.000Z';
  diary.more = { sets: [set('a', '2026-03-03', 1, 2)] };
  diary.met('2026-03-03', 1, { testSetId: 'a' }).rep('2026-03-04', true, { purpose: 'practice' });
  const first = { at: diary.moves[0]!.at, mode: 'position-hold', windLimitMps: 6.7 } as const;
  diary.more = { ...diary.more, stamps: [first] };
  const spent = () => diary.now().spent[0]!.reps;
  expect(spent()).toBe(2);
  diary.more = { ...diary.more, stamps: [first, { ...first, at, mode: 'rate' }] };
  expect(spent()).toBe(2);
});

test('a result taken back keeps its place: it cannot be flown again under the same announcement', () => {
  const diary = new Diary();
  const one = set('a', '2026-03-03', 1, 2);
  const flown = () => ({ sets: [one], moves: [], reps: diary.reps });
  diary.rep('2026-03-03', true, { testSetId: 'a', takenBack: true, takenBackConfirmed: true });
  expect(withoutResult(one, flown())).toBe(1);
  expect(openSet(flown())).toBe(one);
  diary.rep('2026-03-03', true, { testSetId: 'a' });
  expect(openSet(flown())).toBeNull();
});

test('a result told after the set was over fills no place: the miss stays, and nothing of it can be flown later', () => {
  const diary = new Diary();
  diary.more = { sets: [set('a', '2026-03-03', 1, 2)] };
  diary.met('2026-03-03', 1, { testSetId: 'a' });
  diary.rep('2026-03-04', true, { purpose: 'practice' });
  expect(openSet({ ...diary.more, moves: [], reps: diary.reps })).toBeNull();
  const before = scoresOf(diary);
  expect(before.at(-1)).toBeLessThan(before.at(-2)!);
  diary.met('2026-03-04', 1, { testSetId: 'a', band: 'light' });
  // It counts as a test of its own day, beside the miss.
  expect(diary.now().charts[0]!.curve.reps).toBe(3);
  expect(scoresOf(diary).slice(0, before.length)).toEqual(before);
});

/** Said a second way, set by set over everything that was flown. */
function leftByWords(one: TestSet, sets: readonly TestSet[], reps: readonly Rep[]): number | null {
  const ends = [
    ...sets.map(({ at }) => at),
    ...reps.filter(({ day }) => day > one.day).map(({ flownAt }) => flownAt),
  ].filter((at) => at > one.at);
  if (ends.length === 0) return null;
  const end = ends.reduce((first, at) => (at < first ? at : first));
  if (one.calledOffAt !== null && one.calledOffAt < end) return 0;
  const results = reps.filter((rep) => rep.testSetId === one.id && rep.flownAt < end).length;
  return Math.max(0, one.number - results);
}

test('whatever was announced and flown in whatever order, what has no result is the same said set by set', () => {
  const day = fc.integer({ min: 3, max: 6 }).map((d) => `2026-03-0${d}`);
  const minute = fc.integer({ min: 0, max: 59 });
  const two = (n: number) => String(n).padStart(2, '0');
  fc.assert(
    fc.property(
      fc.array(fc.tuple(day, minute, fc.integer({ min: 1, max: 4 }), fc.option(minute)), { maxLength: 6 }),
      fc.array(fc.tuple(day, day, minute, fc.integer({ min: 0, max: 7 })), { maxLength: 25 }),
      (announced, flown) => {
        const sets = announced
          .map(([on, at, number, off], i) =>
            set(`s${i}`, on, at, number, {
              calledOffAt: off === null ? null : `${on}T00:${two(off)}:45.000Z`,
            }),
          )
          .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
        const diary = new Diary();
        // A clock may run wrong: the day that is told need not be that of the instant.
        for (const [told, on, at, of] of flown)
          diary.rep(told, true, {
            flownAt: `${on}T00:${two(at)}:00.000Z`,
            testSetId: of < 6 ? `s${of}` : null,
          });
        const { reps } = diary;
        const facts = { ...diary.facts(), sets, moves: [], reps };
        const told = unreported(facts);
        for (const one of sets)
          expect(told.filter(({ testSetId }) => testSetId === one.id).length).toBe(
            leftByWords(one, sets, reps) ?? 0,
          );
      },
    ),
    { numRuns: 300 },
  );
});
