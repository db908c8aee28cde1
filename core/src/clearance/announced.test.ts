import { Diary } from '../testing/diary';
import { openSet, withoutResult } from './announced';
import type { TestSet } from './facts';

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
