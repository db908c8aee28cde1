import { IN_A_ROW_TO_TEST, practiceTally } from './practice-tally';

type Reps = Parameters<typeof practiceTally>[0];

/** Reps in order, a minute apart: `m` met, `x` missed. */
const flown = (marks: string, more: Partial<Reps[number]> = {}): Reps =>
  [...marks].map((mark, i) => ({
    ...{
      id: `${more.day ?? ''}${i}`,
      drillId: 'tail-in-hover' as const,
      side: null,
      purpose: 'practice' as const,
    },
    ...{ met: mark === 'm', day: '2026-05-03' as const, takenBack: false },
    flownAt: `${more.day ?? '2026-05-03'}T10:${String(i).padStart(2, '0')}:00.000Z`,
    ...more,
  }));
const tally = (reps: Reps) => practiceTally(reps, { drillId: 'tail-in-hover', side: null }, '2026-05-03');

test('five in a row are worth a test; a miss begins them anew', () => {
  expect(tally(flown('xmmmm'))).toEqual({ met: 4, flown: 5, inARow: 4, isTimeToTest: false });
  expect(tally(flown('xmmmmm')).isTimeToTest).toBe(true);
  expect(tally(flown('mmmmmmx'))).toMatchObject({ inARow: 0, isTimeToTest: false });
});

test('an easier level, a test, another drill or side, and what was taken back do not speak for it', () => {
  const five = 'm'.repeat(IN_A_ROW_TO_TEST);
  for (const other of [
    { level: -1 },
    { purpose: 'test' as const },
    { drillId: 'pad-landing' as const },
    { side: 'left' as const },
    { takenBack: true },
  ])
    expect([other, tally(flown(five, other)).isTimeToTest]).toEqual([other, false]);
  // A miss at an easier level is no miss at the standard.
  expect(
    tally([...flown(five), ...flown('x', { level: -1, flownAt: '2026-05-03T11:00:00.000Z' })]).inARow,
  ).toBe(5);
});

test('the tally is of today, the row goes on from another day', () => {
  const before = flown('mmm', { day: '2026-05-01' }).map((rep, i) => ({
    ...rep,
    flownAt: `2026-05-01T10:0${i}:00.000Z`,
  }));
  expect(tally([...before, ...flown('mm')])).toEqual({ met: 2, flown: 2, inARow: 5, isTimeToTest: true });
});

test('the chances its hint stands on are those of the binomial', () => {
  expect(0.6 ** IN_A_ROW_TO_TEST).toBeCloseTo(0.078, 3);
  expect(0.9 ** IN_A_ROW_TO_TEST).toBeCloseTo(0.59, 2);
});
