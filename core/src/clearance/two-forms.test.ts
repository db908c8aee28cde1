import { Diary, FIRST_DAY } from '../testing/diary';
import { addDays } from '../vocabulary/day';
import type { DrillId } from '../drills/drills';
import { isFlownAsUsual, modeNow } from './form-now';

/**
 * A drill of the hands has two forms: with hold off, which decides, and as it is usually flown, which is a cell of the
 * coverage. With hold on a rep that was met measures the craft.
 */

const HOLDS = { mode: 'position-hold', windLimitMps: 4 } as const;
const BOTH = { ...HOLDS, holdOff: true } as const;
const day = (n: number) => addDays(FIRST_DAY, n);
const cellOf = (diary: Diary) => diary.now().coverage.find(({ what }) => what === 'as-flown');

test('with hold on a pilot who flies without it too moves no chart, however often it is met', () => {
  const diary = new Diary(BOTH);
  for (let i = 1; i <= 30; i += 1) diary.met(day(i), 4, { band: i % 2 ? 'calm' : 'light' });
  const { charts, coverage, state } = diary.now();
  expect(charts[0]!.curve).toMatchObject({ reps: 0, reachedAt: null });
  expect(coverage.filter(({ shown }) => shown)).toEqual([
    { drillId: 'tail-in-hover', what: 'as-flown', shown: true },
  ]);
  expect(state).toBe('drilling');
});

test('with hold off it is passed, and waits until it was shown with hold on as well', () => {
  const diary = new Diary(BOTH);
  const off = { mode: 'height-hold' } as const;
  diary.met(day(1), 4, off).met(day(2), 4, { ...off, band: 'light' });
  expect(diary.now().charts[0]!.curve.reachedAt).toBe(8);
  expect([diary.now().state, cellOf(diary)]).toEqual(['drilling', expect.objectContaining({ shown: false })]);
  expect(isFlownAsUsual('tail-in-hover', diary.now())).toBe(true);
  expect(modeNow('tail-in-hover', 'test', BOTH, diary.now())).toBe('position-hold');
  expect(modeNow('tail-in-hover', 'check', BOTH, diary.now())).toBe('height-hold');
  diary.missed(day(3), 1).met(day(3), 2);
  expect([diary.now().state, cellOf(diary)]).toEqual([
    'ready-for-check',
    expect.objectContaining({ shown: true }),
  ]);
  // What was missed with hold on takes no evidence away.
  expect(diary.now().charts[0]!.curve.scores.at(-1)).toBe(10);
  // Its check is flown with hold off.
  diary.met(day(10), 4, { purpose: 'check' });
  expect(diary.now().state).not.toBe('watch');
  expect(diary.now().check?.passed ?? false).toBe(false);
});

test('it takes two of the last three, and a fifth of a day shows nothing', () => {
  const diary = new Diary(BOTH);
  diary.missed(day(1), 4).met(day(1), 6);
  expect(cellOf(diary)!.shown).toBe(false);
  diary.met(day(2), 2);
  expect(cellOf(diary)!.shown).toBe(true);
  diary.missed(day(3), 2);
  expect(cellOf(diary)!.shown).toBe(false);
});

test.each<[string, object, DrillId, boolean]>([
  ['never flies without hold', HOLDS, 'tail-in-hover', false],
  ['flies without it anyway', { ...BOTH, mode: 'self-level' }, 'tail-in-hover', false],
  ['flies both, and the drill is of the hands', BOTH, 'nose-in-hover', true],
  ['flies both, and the drill is of braking', BOTH, 'brake-to-mark', false],
])('who %s: %#', (_, pilot, drillId, asked) => {
  const diary = new Diary(pilot as typeof BOTH, [drillId]);
  expect(diary.now().coverage.some(({ what }) => what === 'as-flown')).toBe(asked);
});

test('a stamp that adds it begins the evidence again; one that drops it takes no cell away', () => {
  const diary = new Diary(HOLDS).ready();
  expect(diary.now().state).toBe('ready-for-check');
  const stamped = (holdOff: boolean, n: number) => ({ at: `${day(n)}T20:00:00.000Z`, ...HOLDS, holdOff });
  diary.more = { stamps: [{ at: '', ...HOLDS }, stamped(true, 3)] };
  expect(diary.now().charts[0]!.curve.reachedAt).toBeNull();
  // What was flown with hold on before shows that form still.
  expect(cellOf(diary)).toMatchObject({ shown: true });
  diary.more = { stamps: [{ at: '', ...HOLDS }, stamped(true, 3), stamped(false, 4)] };
  expect(cellOf(diary)).toBeDefined();
});

describe('sides on which it happened', () => {
  const QUARTERS = ['tail-on', 'nose-left', 'nose-in', 'nose-right'] as const;
  const opened = (happenedOn: readonly (typeof QUARTERS)[number][] | null) => {
    const diary = new Diary(HOLDS, ['clock-hover'], 'orientation-nose-in');
    diary.moves[0] = { ...diary.moves[0]!, happenedOn };
    return diary;
  };
  const limits = (diary: Diary) =>
    Object.fromEntries(diary.now().charts.map(({ side, curve }) => [side, curve.limit]));
  const asked = (...full: readonly string[]) =>
    Object.fromEntries(QUARTERS.map((side) => [side, full.includes(side) ? 10 : 4]));

  test('need the whole evidence, the others four; where nobody told, all need it', () => {
    expect(limits(opened(['nose-in']))).toEqual(asked('nose-in'));
    expect(limits(opened(null))).toEqual(asked(...QUARTERS));
    expect(limits(opened([]))).toEqual(asked(...QUARTERS));
    const alike = new Diary(HOLDS, ['clock-hover'], 'orientation-nose-in', {
      ...opened(null).rule,
      sidesAlike: true,
    });
    alike.moves[0] = { ...alike.moves[0]!, happenedOn: ['nose-in'] };
    expect(limits(alike)).toEqual(asked(...QUARTERS));
  });

  test('of a drill none of whose sides was told, any may be the one', () => {
    const diary = new Diary(HOLDS, ['circle-both-ways'], 'uncoordinated-turn');
    diary.moves[0] = { ...diary.moves[0]!, happenedOn: ['nose-in'] };
    expect(diary.now().charts.map(({ curve }) => curve.limit)).toEqual([10, 10]);
  });

  test('are raised where it happens again, and a pass on less no longer stands', () => {
    const diary = opened(['nose-in']);
    for (let i = 1; i <= 2; i += 1) diary.met(day(i), 3, { drillId: 'clock-hover', side: 'nose-left' });
    const left = () => diary.now().charts.find(({ side }) => side === 'nose-left')!.curve;
    // (1/2 × 1.5³ + 1/6) × 1.5² is over four.
    expect(left()).toMatchObject({ limit: 4, reachedAt: 5 });
    diary.move('occurrence-added', day(3), { happenedOn: ['nose-left'] });
    expect(limits(diary)).toEqual(asked('nose-in', 'nose-left'));
    expect(left()).toMatchObject({ limit: 10, reachedAt: null });
    // Somewhere, nobody knows where: it may have been anywhere.
    diary.move('occurrence-added', day(4), { happenedOn: null });
    expect(limits(diary)).toEqual(asked(...QUARTERS));
  });
});
