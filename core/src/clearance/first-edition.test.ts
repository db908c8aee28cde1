import type { CauseId } from '../causes/causes';
import type { DrillId } from '../drills/drills';
import { Diary as AnyDiary, FIRST_DAY } from '../testing/diary';
import { addDays } from '../vocabulary/day';
import { FIRST_RULE } from './clearing-rule';
import type { WeaknessFacts } from './facts';
import { nextStep } from './next-step';

/**
 * The life of a weakness, told in days at the field. The weakness is over-control with one deciding
 * drill, the tail-in hover, which has no sides and is shown in calm and light wind.
 */

const FIRST = FIRST_DAY;
const DRILL = 'tail-in-hover';

/** Ten clean in a row are the shortest way here, five a day. */
class Diary extends AnyDiary {
  constructor(
    pilot: WeaknessFacts['pilot'] = { mode: 'position-hold', windLimitMps: 6.7 },
    keyDrills: readonly DrillId[] = [DRILL],
    causeId: CauseId = 'overcontrol',
  ) {
    super(pilot, keyDrills, causeId, FIRST_RULE);
  }

  override ready(): this {
    return this.met(addDays(FIRST, 1), 5).met(addDays(FIRST, 2), 5, { band: 'light' });
  }
}

const CHECK_DAY = addDays(FIRST, 9);

describe('from open to ready for check', () => {
  test('a weakness nobody has flown for is open, and the next step is to drill', () => {
    const now = new Diary().now();
    expect(now.state).toBe('open');
    expect(now.rungs.map((rung) => rung.share)).toEqual([0, 0, 0, 0, 0]);
    expect(nextStep(now, FIRST)).toEqual({ do: 'drill' });
  });

  test('practice reps teach and leave the chart alone', () => {
    const diary = new Diary().met(FIRST, 20, { purpose: 'practice' });
    expect(diary.now().state).toBe('drilling');
    expect(diary.rung('test').share).toBe(0);
    expect(diary.now().charts[0]!.curve.reps).toBe(0);
  });

  test('ten clean test reps over two days and both winds fill the first three rungs', () => {
    const diary = new Diary().ready();
    expect(diary.now().rungs.map((rung) => rung.met)).toEqual([true, true, true, false, false]);
    expect(diary.now().state).toBe('ready-for-check');
  });

  test('ten clean reps on one day are not enough: the skill was shown on one day only', () => {
    const diary = new Diary().met(FIRST, 5).met(FIRST, 5, { band: 'light' });
    expect(diary.rung('test').met).toBe(true);
    expect(diary.rung('days')).toMatchObject({ met: false, share: 0.5 });
    expect(diary.now().state).toBe('drilling');
  });

  test('a wind band the pilot will fly in and has not shown holds it back', () => {
    const diary = new Diary().met(addDays(FIRST, 1), 5).met(addDays(FIRST, 2), 5);
    expect(diary.rung('coverage').met).toBe(false);
    expect(diary.now().coverage.filter((cell) => !cell.shown)).toEqual([
      { drillId: DRILL, what: { band: 'light' }, shown: false },
    ]);
  });

  test('a pilot whose limit is calm air need not show light wind', () => {
    const diary = new Diary({ mode: 'position-hold', windLimitMps: 2 })
      .met(addDays(FIRST, 1), 5)
      .met(addDays(FIRST, 2), 5);
    expect(diary.now().state).toBe('ready-for-check');
  });

  test('the simulator moves the chart, but the craft must be shown', () => {
    const diary = new Diary();
    for (const rep of ['calm', 'light'] as const)
      diary.met(addDays(FIRST, rep === 'calm' ? 1 : 2), 5, { band: rep, flownOn: 'simulator' });
    expect(diary.rung('test').met).toBe(true);
    expect(diary.rung('coverage').share).toBe(0);
  });

  test('reps flown with other help than the pilot flies with do not count', () => {
    expect(new Diary().met(FIRST, 10, { mode: 'self-level' }).now().charts[0]!.curve.reps).toBe(0);
  });

  test('a rep taken back no longer counts', () => {
    const diary = new Diary().ready();
    diary.reps[0] = { ...diary.reps[0]!, takenBack: true };
    expect(diary.rung('test').met).toBe(false);
  });

  test('reps from before the weakness was opened do not count', () => {
    const diary = new Diary();
    diary.met('2026-03-01', 10);
    expect(diary.now().charts[0]!.curve.reps).toBe(0);
  });

  test('reps that reach the server out of order count in the order they were flown', () => {
    const diary = new Diary().rep(FIRST, false).ready();
    const before = diary.now();
    diary.reps.reverse();
    expect(diary.now()).toEqual(before);
  });
});

describe('a drill with sides', () => {
  const sides = () =>
    new Diary({ mode: 'position-hold', windLimitMps: 2 }, ['side-on-hover'], 'orientation-side-on');

  test('has a chart for each, and a strong side does not carry a weak one', () => {
    const diary = sides().met(FIRST, 30, { drillId: 'side-on-hover', side: 'nose-left' });
    expect(diary.now().charts.map((chart) => [chart.side, chart.curve.reachedAt])).toEqual([
      ['nose-left', 10],
      ['nose-right', null],
    ]);
    expect(diary.rung('test')).toMatchObject({ met: false, share: 0.5 });
  });

  test('a rep without its side moves neither', () => {
    expect(
      sides()
        .met(FIRST, 10, { drillId: 'side-on-hover' })
        .now()
        .charts.map((chart) => chart.curve.reps),
    ).toEqual([0, 0]);
  });

  test('reps in pilot-relative mode never count for an orientation weakness', () => {
    expect(
      sides().met(FIRST, 10, { drillId: 'side-on-hover', side: 'nose-left', pilotRelative: true }).now()
        .charts[0]!.curve.reps,
    ).toBe(0);
  });
});

describe('the check', () => {
  test('is due seven days after the last practice, and not before', () => {
    const now = new Diary().ready().now();
    expect(now.check?.from).toBe(CHECK_DAY);
    expect(nextStep(now, addDays(CHECK_DAY, -1))).toEqual({ do: 'wait', until: CHECK_DAY });
    expect(nextStep(now, CHECK_DAY)).toEqual({ do: 'check' });
  });

  test('moves when somebody practises in between', () => {
    const diary = new Diary().ready().rep(addDays(FIRST, 5), true, { purpose: 'practice' });
    expect(diary.now().check?.from).toBe(addDays(FIRST, 12));
  });

  test('four met of five pass it; then it waits for the signature', () => {
    const diary = new Diary()
      .ready()
      .met(CHECK_DAY, 2, { purpose: 'check' })
      .rep(CHECK_DAY, false, { purpose: 'check' });
    expect(diary.rung('kept')).toMatchObject({ met: false, share: 0.5 });
    diary.met(CHECK_DAY, 2, { purpose: 'check' });
    expect(diary.rung('kept').met).toBe(true);
    expect(nextStep(diary.now(), CHECK_DAY)).toEqual({ do: 'sign' });
  });

  test('flown too early it does not count', () => {
    const diary = new Diary().ready().met(addDays(CHECK_DAY, -1), 5, { purpose: 'check' });
    expect(diary.rung('kept').share).toBe(0);
  });

  test('two missed fail it: back to drilling, and the test starts from nothing', () => {
    const diary = new Diary()
      .ready()
      .rep(CHECK_DAY, false, { purpose: 'check' })
      .rep(CHECK_DAY, false, { purpose: 'check' });
    expect(diary.now()).toMatchObject({ state: 'drilling', failedChecks: 1, check: null });
    expect(diary.now().charts[0]!.curve.reps).toBe(0);
    diary.met(addDays(CHECK_DAY, 1), 5).met(addDays(CHECK_DAY, 2), 5, { band: 'light' });
    expect(diary.now()).toMatchObject({ state: 'ready-for-check', failedChecks: 1 });
    expect(diary.now().check?.from).toBe(addDays(CHECK_DAY, 9));
  });

  test('once passed, a later practice does not undo it', () => {
    const diary = new Diary()
      .ready()
      .met(CHECK_DAY, 4, { purpose: 'check' })
      .rep(addDays(CHECK_DAY, 1), false, { purpose: 'practice' });
    expect(nextStep(diary.now(), addDays(CHECK_DAY, 1))).toEqual({ do: 'sign' });
  });
});

describe('signature, watch and relapse', () => {
  const signed = () => {
    const diary = new Diary().ready().met(CHECK_DAY, 4, { purpose: 'check' });
    const move = diary.move('signed', CHECK_DAY);
    return { diary, move };
  };

  test('the signature fills the last rung and the weakness is on watch; closing ends the watch', () => {
    const { diary } = signed();
    expect(diary.now().state).toBe('watch');
    expect(diary.now().rungs.every((rung) => rung.met)).toBe(true);
    diary.move('closed', addDays(CHECK_DAY, 60));
    expect(diary.now().state).toBe('closed');
  });

  test('another occurrence re-opens it, and everything has to be shown again', () => {
    const { diary } = signed();
    diary.move('reopened', addDays(CHECK_DAY, 20));
    expect(diary.now()).toMatchObject({ state: 'open', signedEarly: false });
    expect(diary.now().rungs.every((rung) => rung.share === 0)).toBe(true);
  });

  test('a second occurrence while drilling adds to it and leaves the chart', () => {
    const diary = new Diary().met(addDays(FIRST, 1), 5);
    diary.move('occurrence-added', addDays(FIRST, 1));
    diary.met(addDays(FIRST, 2), 1);
    expect(diary.now().charts[0]!.curve.reps).toBe(6);
  });

  test('an early signature shows as such, with the rungs as they really are', () => {
    const diary = new Diary().met(addDays(FIRST, 1), 5);
    diary.move('signed-early', addDays(FIRST, 3), { reason: 'Flew a whole course clean.' });
    expect(diary.now()).toMatchObject({ state: 'watch', signedEarly: true });
    expect(diary.rung('test').met).toBe(false);
  });

  test('an undone signature leads back to where it was', () => {
    const { diary, move } = signed();
    diary.move('undone', addDays(CHECK_DAY, 1), { undoes: move.id, reason: 'Signed the wrong pilot.' });
    expect(diary.now().state).toBe('ready-for-check');
    expect(nextStep(diary.now(), addDays(CHECK_DAY, 1))).toEqual({ do: 'sign' });
  });

  test('when the only occurrence turns out to be another cause, the weakness is withdrawn', () => {
    const diary = new Diary();
    diary.move('undone', FIRST, { undoes: 'm0', reason: 'It was the wind.' });
    expect(diary.now().state).toBe('withdrawn');
  });

  test('when the first of two occurrences is taken back, the second keeps it open', () => {
    const diary = new Diary();
    diary.move('occurrence-added', addDays(FIRST, 1));
    diary.move('undone', addDays(FIRST, 2), { undoes: 'm0', reason: 'It was the wind.' });
    expect(diary.now().state).toBe('open');
  });
});

describe('on watch: checks go on, and the chart may call the pilot back', () => {
  /** Ready, check passed and signed on the check day; the watch begins the day after. */
  const signed = () => {
    const diary = new Diary().ready().met(CHECK_DAY, 4, { purpose: 'check' });
    diary.move('signed', CHECK_DAY);
    return diary;
  };
  const later = addDays(CHECK_DAY, 20);

  test('the next check is due no sooner than the gap after the one that was passed, and its date is the next step', () => {
    const now = signed().now();
    expect(now.watch).toMatchObject({
      checks: [{ day: CHECK_DAY, passed: true }],
      next: { drills: [{ met: 0, missed: 0 }] },
    });
    const { from } = now.watch!.next;
    expect(from >= addDays(CHECK_DAY, 7)).toBe(true);
    expect(nextStep(now, CHECK_DAY)).toEqual({ do: 'watch', until: from });
    expect(nextStep(now, from)).toEqual({ do: 'check' });
  });

  test('a check flown when due and passed pushes the next one further out; one flown too early counts for the chart only', () => {
    const diary = signed();
    const { from } = diary.now().watch!.next;
    diary.met(addDays(from, -1), 4, { purpose: 'check' });
    expect(diary.now().watch).toMatchObject({ checks: [{}], next: { from }, curve: { alarmAt: null } });
    expect(diary.now().watch!.curve.scores).toHaveLength(5);
    diary.met(from, 4, { purpose: 'check' });
    expect(diary.now().watch!.checks).toEqual([
      { day: CHECK_DAY, passed: true },
      { day: from, passed: true },
    ]);
    expect(diary.now().watch!.next.from > addDays(from, 7)).toBe(true);
  });

  test('a failed check asks for another soon, and alone does not call the pilot back', () => {
    const diary = signed()
      .met(later, 3, { purpose: 'check' })
      .rep(later, false, { purpose: 'check' })
      .rep(later, false, { purpose: 'check' });
    expect(diary.now()).toMatchObject({
      state: 'watch',
      watch: { checks: [{ passed: true }, { passed: false }] },
    });
    expect(diary.now().watch!.next.from).toBe(addDays(later, 7));
  });

  test('three misses in a row call the pilot back: drilling again from nothing, the signature gone, until it is cleared and signed anew', () => {
    const diary = signed()
      .rep(later, false, { purpose: 'check' })
      .rep(later, false, { purpose: 'check' })
      .rep(later, false, { purpose: 'check' });
    expect(diary.now()).toMatchObject({ state: 'drilling', relapsed: true, watch: null, reps: 0 });
    expect(diary.now().rungs.map((rung) => rung.met)).toEqual([false, false, false, false, false]);
    expect(nextStep(diary.now(), later)).toEqual({ do: 'drill' });
    diary.met(addDays(later, 1), 5).met(addDays(later, 2), 5, { band: 'light' });
    expect(diary.now().state).toBe('ready-for-check');
    diary.met(addDays(later, 9), 4, { purpose: 'check' });
    diary.move('signed', addDays(later, 9));
    expect(diary.now()).toMatchObject({
      state: 'watch',
      relapsed: false,
      watch: { checks: [{ day: addDays(later, 9) }] },
    });
  });

  test('practice on watch, and reps with help the pilot does not fly with, leave the chart alone', () => {
    const diary = signed();
    for (let i = 0; i < 5; i += 1)
      diary.rep(later, false, { purpose: 'practice' }).rep(later, false, { mode: 'rate' });
    expect(diary.now()).toMatchObject({ state: 'watch', watch: { curve: { scores: [0] } } });
  });

  test('signed early, the first check is due a gap after the signature', () => {
    const diary = new Diary().met(FIRST, 5);
    diary.move('signed-early', addDays(FIRST, 1), { reason: 'Seen on the line.' });
    expect(diary.now().watch).toMatchObject({ checks: [], next: { from: addDays(FIRST, 8) } });
  });
});
