import { addDays, daysBetween, isDay } from './day';
import { axesOf, AXES, onReleaseIn, STICK_LAYOUTS } from './flying';
import { bandsUpTo, BEGINNER_WIND_LIMIT_MPS, windBandOf } from './wind-band';

describe('days', () => {
  test('run over the end of a month, a leap day and a year', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(addDays('2026-03-10', -10)).toBe('2026-02-28');
  });

  test('are whole, whatever the clock does in between', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2); // the clocks go forward in Europe on the 29th
    expect(daysBetween('2026-03-30', '2026-03-28')).toBe(-2);
  });

  test.each(['2026-02-30', '26-1-1', 'today', ''])('"%s" is no day', (text) => {
    expect(isDay(text)).toBe(false);
  });

  test('something else than a day is refused with how to write one', () => {
    expect(() => addDays('tomorrow', 1)).toThrow('YYYY-MM-DD');
  });
});

describe('wind bands (common practice: calm under 2 m/s, light 2 to 5, breezy from 5)', () => {
  test.each([
    [0, 'calm'],
    [1.99, 'calm'],
    [2, 'light'],
    [4.99, 'light'],
    [5, 'breezy'],
    [12, 'breezy'],
  ])('%s m/s is %s', (wind, band) => {
    expect(windBandOf(wind)).toBe(band);
  });

  test('a beginner (15 mph, 6.7 m/s) meets all three', () => {
    expect(BEGINNER_WIND_LIMIT_MPS).toBeCloseTo(15 * 0.44704, 1);
    expect(bandsUpTo(BEGINNER_WIND_LIMIT_MPS)).toEqual(['calm', 'light', 'breezy']);
    expect(bandsUpTo(5)).toEqual(['calm', 'light']);
    expect(bandsUpTo(1.5)).toEqual(['calm']);
  });

  test('no wind at all is not the same as an unknown one', () => {
    expect(() => windBandOf(Number.NaN)).toThrow(RangeError);
  });
});

describe('sticks', () => {
  test('every layout has each axis once', () => {
    for (const layout of STICK_LAYOUTS) {
      const { left, right } = axesOf(layout);
      expect([left.vertical, left.horizontal, right.vertical, right.horizontal].sort()).toEqual(
        [...AXES].sort(),
      );
    }
  });

  test('layout 2 has throttle and yaw on the left, layout 1 swaps throttle and pitch', () => {
    expect(axesOf(2).left).toEqual({ vertical: 'throttle', horizontal: 'yaw' });
    expect(axesOf(1).left).toEqual({ vertical: 'pitch', horizontal: 'yaw' });
  });

  test('only a craft that holds its place may be let go', () => {
    expect(onReleaseIn('position-hold')).toBe('hold');
    expect(onReleaseIn('height-hold')).toBe('manual');
  });
});
