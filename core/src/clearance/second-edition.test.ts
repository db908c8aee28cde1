import { Diary, FIRST_DAY } from '../testing/diary';
import { addDays } from '../vocabulary/day';
import type { Purpose } from './facts';
import { nextStep } from './next-step';

const day = (number: number) => addDays(FIRST_DAY, number);
const CHECK_DAY = day(9);
const check = { purpose: 'check' as Purpose };
const ready = () => new Diary().ready();
const signed = () => {
  const diary = ready().met(CHECK_DAY, 4, check);
  diary.move('signed', CHECK_DAY);
  return diary;
};

describe('from open to signed', () => {
  test('eight clean tests over two days and both winds, a week, four clean at the check, a signature', () => {
    const diary = new Diary();
    expect(nextStep(diary.now(), FIRST_DAY)).toEqual({ do: 'drill' });
    diary.ready();
    expect(diary.now().rungs.map(({ met }) => met)).toEqual([true, true, true, false, false]);
    expect(nextStep(diary.now(), day(8))).toEqual({ do: 'wait', until: CHECK_DAY });
    expect(nextStep(diary.now(), CHECK_DAY)).toEqual({ do: 'check' });
    diary.met(CHECK_DAY, 4, check);
    expect(nextStep(diary.now(), CHECK_DAY)).toEqual({ do: 'sign' });
    diary.move('signed', CHECK_DAY);
    expect(diary.now()).toMatchObject({ state: 'watch', openings: 1, spent: [{ days: 2, reps: 8 }] });
    expect(diary.now().rungs.every(({ met }) => met)).toBe(true);
  });

  test('forty tests met on one day are four', () => {
    const now = new Diary().met(day(1), 40).now();
    expect(now.charts[0]!.curve.reps).toBe(4);
    expect(now.state).toBe('drilling');
  });

  test('nobody gets there by practice, on one side, or with help that is not flown with', () => {
    expect(new Diary().met(day(1), 20, { purpose: 'practice' }).rung('test').share).toBe(0);
    expect(new Diary().met(day(1), 4, { mode: 'self-level' }).rung('test').share).toBe(0);
    const sides = new Diary(
      { mode: 'position-hold', windLimitMps: 2 },
      ['side-on-hover'],
      'orientation-side-on',
    );
    for (let i = 1; i < 9; i += 1) sides.met(day(i), 4, { side: 'nose-left' });
    expect(sides.now().charts.map(({ curve }) => curve.reachedAt !== null)).toEqual([true, false]);
  });
});

describe('what was shown must still stand', () => {
  test('one hit in twenty-one does not show a cell', () => {
    const diary = new Diary().met(day(1), 1, { band: 'light' });
    for (let i = 2; i < 7; i += 1) diary.missed(day(i), 4, { band: 'light' });
    const cells = diary.now().coverage.filter(({ shown }) => shown);
    expect(cells).toEqual([]);
  });

  test('a cell asks for two of its last three', () => {
    const light = { band: 'light' as const };
    const shown = (diary: Diary) =>
      diary
        .now()
        .coverage.find(({ what }) => typeof what === 'object' && 'band' in what && what.band === 'light')!
        .shown;
    expect(shown(new Diary().met(day(1), 1, light))).toBe(false);
    expect(shown(new Diary().met(day(1), 2, light))).toBe(true);
    expect(shown(new Diary().met(day(1), 2, light).missed(day(1), 1, light))).toBe(true);
    expect(shown(new Diary().met(day(1), 2, light).missed(day(1), 2, light))).toBe(false);
  });

  test('the simulator moves the chart and shows no cell', () => {
    const diary = new Diary()
      .met(day(1), 4, { flownOn: 'simulator' })
      .met(day(2), 4, { band: 'light', flownOn: 'simulator' });
    expect(diary.rung('test').met).toBe(true);
    expect(diary.rung('coverage').share).toBe(0);
  });

  test('forty misses after the limit open the test again', () => {
    const diary = ready();
    for (let i = 3; i < 13; i += 1) diary.missed(day(i), 4);
    expect(diary.now().state).toBe('drilling');
    expect(diary.rung('test').met).toBe(false);
    // Two clean days do not make up for it.
    diary.ready(day(20));
    expect(diary.rung('test').met).toBe(false);
  });

  test('an occurrence when all is shown lowers the evidence, and the days spent stay spent', () => {
    const diary = ready();
    diary.move('reopened', day(3));
    expect(diary.now()).toMatchObject({ state: 'drilling', openings: 1 });
    expect(diary.now().coverage.some(({ shown }) => shown)).toBe(false);
    diary.met(day(4), 4);
    // At most 1 plus the third day's twelfth, four met.
    expect(diary.now().charts[0]!.curve.scores.at(-1)).toBeCloseTo((1 + 1 / 12) * 1.5 ** 4, 10);
    expect(diary.now().spent).toMatchObject([{ days: 3, reps: 12 }]);
  });
});

describe('the check', () => {
  test('is flown on the craft: on the simulator it is practice, which moves it', () => {
    const diary = ready().met(CHECK_DAY, 5, { ...check, flownOn: 'simulator' });
    expect(diary.rung('kept').met).toBe(false);
    expect(diary.now().check!.from).toBe(addDays(CHECK_DAY, 7));
  });

  test('is asked of every side: two met before two missed on each', () => {
    const sides = () => {
      const diary = new Diary(
        { mode: 'position-hold', windLimitMps: 2 },
        ['side-on-hover'],
        'orientation-side-on',
      );
      for (const side of ['nose-left', 'nose-right'] as const)
        diary.met(day(1), 4, { side }).met(day(2), 4, { side });
      return diary;
    };
    expect(
      sides()
        .met(CHECK_DAY, 5, { ...check, side: 'nose-left' })
        .rung('kept').met,
    ).toBe(false);
    const both = sides()
      .met(CHECK_DAY, 2, { ...check, side: 'nose-left' })
      .missed(CHECK_DAY, 1, { ...check, side: 'nose-right' })
      .met(CHECK_DAY, 2, { ...check, side: 'nose-right' });
    expect(both.rung('kept').met).toBe(true);
    const failed = sides().missed(CHECK_DAY, 2, { ...check, side: 'nose-right' });
    expect(failed.now().charts.map(({ curve }) => curve.reachedAt !== null)).toEqual([true, false]);
    expect(failed.now()).toMatchObject({ state: 'drilling', failedChecks: 1 });
  });

  test('two missed fail it, in whatever company', () => {
    const diary = ready().met(CHECK_DAY, 3, check).missed(CHECK_DAY, 2, check);
    expect(diary.now()).toMatchObject({ state: 'drilling', failedChecks: 1, check: null });
    expect(diary.now().charts[0]!.curve.scores.at(-1)).toBe(0.625);
  });

  test('interrupted it keeps its misses and goes on within a fortnight', () => {
    const diary = ready().missed(CHECK_DAY, 1, check);
    expect(diary.now()).toMatchObject({
      state: 'ready-for-check',
      check: { drills: [{ met: 0, missed: 1 }] },
    });
    diary.missed(addDays(CHECK_DAY, 14), 1, check);
    expect(diary.now()).toMatchObject({ state: 'drilling', failedChecks: 1 });
  });

  test('finished two months later it has failed, if anything was missed; else it was not flown', () => {
    const late = addDays(CHECK_DAY, 60);
    const missed = ready().missed(CHECK_DAY, 1, check).met(late, 4, check);
    expect(missed.now().failedChecks).toBe(1);
    expect(missed.rung('kept').met).toBe(false);
    const clean = ready().met(CHECK_DAY, 2, check).met(late, 2, check);
    expect(clean.rung('kept').met).toBe(false);
    expect(clean.now()).toMatchObject({ failedChecks: 0, check: { drills: [{ met: 2, missed: 0 }] } });
    expect(clean.met(late, 2, check).rung('kept').met).toBe(true);
  });

  test('practice of its drill in between ends it', () => {
    const practice = { purpose: 'practice' as const };
    const missed = ready().missed(CHECK_DAY, 1, check).met(day(10), 1, practice);
    expect(missed.now().failedChecks).toBe(1);
    const clean = ready().met(CHECK_DAY, 3, check).met(day(10), 1, practice);
    expect(clean.now()).toMatchObject({ failedChecks: 0, check: { from: day(17), drills: [{ met: 0 }] } });
  });

  test('flown too early it is practice', () => {
    const diary = ready().met(day(8), 5, check);
    expect(diary.rung('kept').share).toBe(0);
    expect(diary.now().check!.from).toBe(day(15));
  });
});

describe('on watch', () => {
  const due = (diary: Diary) => diary.now().watch!.next.from;

  test('a failed check limits at once; a second within seven days decides', () => {
    const diary = signed();
    const first = due(diary);
    diary.missed(first, 2, check);
    expect(diary.now()).toMatchObject({
      state: 'watch',
      watch: { limited: true, secondBy: addDays(first, 7), next: { from: addDays(first, 1) } },
    });
    diary.met(addDays(first, 3), 4, check);
    expect(diary.now().watch).toMatchObject({ limited: false, secondBy: null });
  });

  test('the second failing too calls back, and the evidence goes on', () => {
    const diary = signed();
    const first = due(diary);
    diary.missed(first, 2, check).missed(addDays(first, 3), 2, check);
    expect(diary.now()).toMatchObject({ state: 'drilling', relapsed: true, openings: 1, watch: null });
    expect(diary.now().rungs.some(({ met }) => met)).toBe(false);
    const evidence = diary.now().charts[0]!.curve.scores.at(-1)!;
    expect(evidence).toBeCloseTo(10 / 4 ** 4, 12);
    diary.ready(addDays(first, 4));
    expect(diary.rung('test').met).toBe(false);
  });

  test('misses in tests that no longer look like luck ask for such a check', () => {
    const diary = signed().missed(day(20), 3);
    expect(diary.now().watch).toMatchObject({ limited: true, secondBy: day(27) });
  });

  test('signed early, misses ask for a check all the same', () => {
    const diary = new Diary().met(day(1), 4);
    diary.move('signed-early', day(2), { reason: 'Seen on the line.' });
    expect(diary.missed(day(3), 2).now().watch).toMatchObject({ limited: false });
    expect(diary.missed(day(3), 1).now().watch).toMatchObject({ limited: true, secondBy: day(10) });
    // Clean tests before it take nothing back of the evidence that is still wanting.
    expect(diary.rung('test').met).toBe(false);
  });

  test('a check interrupted with a miss has failed there too', () => {
    const diary = signed();
    const first = due(diary);
    diary.missed(first, 1, check).met(addDays(first, 1), 1, { purpose: 'practice' });
    expect(diary.now().watch).toMatchObject({ limited: true, checks: [{ passed: true }, { passed: false }] });
  });

  test('checks are never over ninety days apart', () => {
    const diary = signed();
    let last = CHECK_DAY;
    for (let i = 0; i < 8; i += 1) {
      const next = due(diary);
      expect(next <= addDays(last, 90)).toBe(true);
      diary.met(next, 4, check);
      last = next;
    }
    expect(due(diary)).toBe(addDays(last, 90));
  });

  test('one more occurrence opens it at once, with nothing spent', () => {
    const diary = signed();
    diary.move('reopened', day(30));
    expect(diary.now()).toMatchObject({ state: 'open', openings: 2, spent: [{ days: 0, reps: 0 }] });
  });

  test('the new opening is judged by its own stamp, and no longer by that of the last', () => {
    const diary = signed();
    const { at } = diary.move('reopened', day(30));
    const flies = { mode: 'position-hold' as const };
    diary.more = {
      stamps: [
        { ...flies, windLimitMps: 6.7, at: `${FIRST_DAY}T00:00:00.000Z` },
        { ...flies, windLimitMps: 1.5, at },
      ],
    };
    expect(diary.now()).toMatchObject({ openings: 2 });
    expect(diary.now().coverage.map(({ what }) => what)).toEqual(['craft', { band: 'calm' }]);
  });

  test('after an early signature it goes on with what was spent: signing early is no way to begin afresh', () => {
    const diary = new Diary().missed(day(1), 4);
    diary.move('signed-early', day(1), { reason: 'Seen on the line.' });
    diary.move('reopened', day(2));
    expect(diary.now()).toMatchObject({ openings: 1, spent: [{ days: 1, reps: 4 }] });
  });
});

describe('nothing that was spent is forgotten', () => {
  test('taking the confirmation back and confirming again begins no new opening', () => {
    const diary = new Diary().missed(day(1), 4);
    diary.move('undone', day(2), { undoes: 'm0', reason: 'Another look.' });
    expect(diary.now().state).toBe('withdrawn');
    diary.move('opened', day(2));
    diary.met(day(3), 4);
    expect(diary.now()).toMatchObject({ state: 'drilling', openings: 1, spent: [{ days: 2, reps: 8 }] });
    const second = 1.5 ** 4 * (0.5 * 0.25 ** 4 + 1 / 6);
    expect(diary.now().charts[0]!.curve.scores.at(-1)).toBeCloseTo(second, 10);
  });

  test('another plan begins the evidence again on the days that are left', () => {
    const diary = new Diary().met(day(1), 4);
    diary.more = {
      deciding: [
        { at: `${FIRST_DAY}T00:00:00.000Z`, keyDrills: ['tail-in-hover', 'pad-landing'] },
        { at: `${day(2)}T00:00:00.000Z`, keyDrills: ['tail-in-hover'] },
      ],
    };
    expect(diary.now().charts[0]!.curve.scores.at(-1)).toBe(0);
    diary.met(day(3), 4);
    expect(diary.now().charts[0]!.curve.scores.at(-1)).toBeCloseTo(1.5 ** 4 / 6, 10);
  });

  test('a miss that was taken back counts until somebody else says so too; a hit that was is gone, and its place with it', () => {
    const diary = new Diary().missed(day(1), 1, { takenBack: true });
    expect(diary.now().spent).toMatchObject([{ reps: 1 }]);
    diary.reps[0] = { ...diary.reps[0]!, takenBackConfirmed: true };
    diary.met(day(1), 4);
    expect(diary.now().spent).toMatchObject([{ reps: 3 }]);
    expect(new Diary().met(day(1), 1, { takenBack: true }).met(day(1), 4).now().spent).toMatchObject([
      { reps: 3 },
    ]);
  });
});

describe('the past is not rewritten', () => {
  const at = (number: number) => `${day(Math.floor(number))}T${number % 1 === 0 ? '00' : '23'}:30:00.000Z`;

  test('a wind limit that was raised adds a cell and undoes no failure', () => {
    const diary = ready().missed(CHECK_DAY, 2, check);
    const stamp = { mode: 'position-hold' as const, windLimitMps: 2 };
    diary.more = { stamps: [{ ...stamp, at: at(0) }] };
    expect(diary.now()).toMatchObject({ failedChecks: 1 });
    diary.more = {
      stamps: [
        { ...stamp, at: at(0) },
        { ...stamp, windLimitMps: 9, at: at(20) },
      ],
    };
    expect(diary.now()).toMatchObject({ failedChecks: 1 });
    expect(diary.now().coverage).toHaveLength(3);
  });

  test('a limit that was lowered takes no cell away, and a new stamp begins the evidence again', () => {
    const diary = ready();
    diary.more = {
      stamps: [
        { mode: 'position-hold', windLimitMps: 6.7, at: at(0) },
        { mode: 'position-hold', windLimitMps: 1, at: at(3) },
      ],
    };
    expect(diary.now().coverage).toHaveLength(3);
    expect(diary.now()).toMatchObject({ state: 'drilling', spent: [{ days: 2 }] });
  });

  test('a check that was begun or passed does not outlive another stamp or another plan', () => {
    const stamp = { mode: 'position-hold' as const, windLimitMps: 6.7 };
    const restamped = (diary: Diary) => {
      diary.more = {
        stamps: [
          { ...stamp, at: at(0) },
          { ...stamp, windLimitMps: 4, at: at(9.5) },
        ],
      };
      return diary;
    };
    const begun = ready().met(CHECK_DAY, 2, check);
    expect(restamped(begun.met(day(10), 2, check)).rung('kept').met).toBe(false);
    expect(restamped(ready().met(CHECK_DAY, 4, check)).rung('kept').met).toBe(false);
    const replanned = ready().met(CHECK_DAY, 4, check);
    replanned.more = {
      deciding: [
        { at: at(0), keyDrills: ['tail-in-hover'] },
        { at: at(10), keyDrills: ['tail-in-hover', 'pad-landing'] },
      ],
    };
    expect(replanned.now()).toMatchObject({ state: 'drilling' });
    expect(replanned.rung('kept').met).toBe(false);
  });

  test('what the pilot is now changes nothing', () => {
    const diary = ready();
    diary.more = { stamps: [{ mode: 'position-hold', windLimitMps: 6.7, at: at(0) }] };
    const before = diary.now();
    diary.more = { ...diary.more, pilot: { mode: 'rate', windLimitMps: 20 } };
    expect(diary.now()).toEqual(before);
  });
});

test('reps that arrive out of order stand in the order they were flown', () => {
  const diary = new Diary().missed(day(1), 1).ready();
  const before = diary.now();
  diary.reps.reverse();
  expect(diary.now()).toEqual(before);
});

test('a signature stands out once late entries take away what it stood on, and only then', () => {
  const diary = new Diary().ready();
  const checkDay = addDays(FIRST_DAY, 10);
  diary.met(checkDay, 4, { purpose: 'check' });
  diary.move('signed', checkDay);
  expect(diary.now()).toMatchObject({ state: 'watch', isUnproven: false });
  // Two misses of the second day come from another phone, a month later.
  const late = { flownAt: `${addDays(FIRST_DAY, 2)}T23:00:00.000Z` };
  diary.missed(addDays(FIRST_DAY, 2), 2, { ...late, purpose: 'practice' });
  expect(diary.now().isUnproven).toBe(false);
  const early = { flownAt: `${addDays(FIRST_DAY, 1)}T00:00:01.000Z` };
  diary.missed(addDays(FIRST_DAY, 1), 2, early);
  expect(diary.now()).toMatchObject({ state: 'watch', isUnproven: true });
});
