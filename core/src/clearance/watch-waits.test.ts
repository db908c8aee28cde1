import { ofToday } from '../testing/by-day';
import { watchedYear } from '../testing/watch-year';
import { DEFAULT_RULE } from './clearing-rule';
import { drawFrom } from './evidence/simulated';
import { watchWaits } from './watch-waits';

/** Against the whole rule, followed through a diary of reps: a second way to the same waits. */

const ONE = [{ drillId: 'tail-in-hover', side: null }] as const;
const TWO = [...ONE, { drillId: 'pad-landing', side: null }] as const;
const PILOTS = 120;

const TAKEN = [
  ['one drill', ONE],
  ['two drills', TWO],
] as const;

test.each(ofToday(TAKEN, 2))(
  'with %s the waits are those of the whole rule, within the error of both',
  (_, cells) => {
    const waits = watchWaits(DEFAULT_RULE, cells);
    const draw = drawFrom(7);
    const drills = cells.map(({ drillId }) => drillId);
    const slipped = Array.from({ length: PILOTS }, () => {
      const pilot = { sound: 0.1, fellBack: 0.4, fellBackAfter: Math.floor(draw() * 365) };
      return watchedYear(drills, pilot, draw).limitedAfter ?? 366;
    });
    for (const [days, share] of [
      [waits.halfLimitedDays!, 0.5],
      [waits.nineInTenLimitedDays!, 0.9],
    ] as const) {
      expect(slipped.filter((each) => each <= days).length / PILOTS).toBeGreaterThan(share - 0.14);
      expect(slipped.filter((each) => each < days).length / PILOTS).toBeLessThan(share + 0.14);
    }
    expect(waits.soundCalledBack).toBeLessThanOrEqual(0.1);
  },
  120_000,
);

test('checks twice as far apart make the wait longer, and more drills make it shorter', () => {
  const far = watchWaits({ ...DEFAULT_RULE, mostDaysBetweenChecks: 180 }, ONE);
  const near = watchWaits({ ...DEFAULT_RULE, mostDaysBetweenChecks: 30 }, ONE);
  const days = (value: number | null) => value ?? 366;
  expect(days(far.nineInTenLimitedDays)).toBeGreaterThan(days(near.nineInTenLimitedDays));
  expect(days(watchWaits(DEFAULT_RULE, TWO).nineInTenLimitedDays)).toBeLessThanOrEqual(
    days(watchWaits(DEFAULT_RULE, ONE).nineInTenLimitedDays),
  );
});
