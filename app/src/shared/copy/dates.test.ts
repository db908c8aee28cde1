import { sayTime } from './dates';
import { timeOnPaper } from './day-on-paper';

const noonOf = (year: number) => new Date(year, 2, 4, 12, 5).toISOString();

test('a moment of this year is told without it, of another with it, and on paper always with it', () => {
  const now = new Date().getFullYear();
  expect(sayTime(noonOf(now))).not.toContain(String(now));
  expect(sayTime(noonOf(now - 1))).toContain(String(now - 1));
  expect(sayTime(noonOf(now - 1))).toContain('12:05');
  expect(timeOnPaper(noonOf(now))).toBe(`4 March ${now} at 12:05`);
});
