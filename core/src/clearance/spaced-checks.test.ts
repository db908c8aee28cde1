import { createEmptyCard, forgetting_curve, fsrs, Rating } from 'ts-fsrs';
import { daysBetween } from '../vocabulary/day';
import { nextCheckDue } from './spaced-checks';

const GAP = 7;

test('each passed check is followed by a longer rest, and a failed one by the shortest', () => {
  const checks = [{ day: '2026-03-01', passed: true }];
  const rests: number[] = [];
  for (let i = 0; i < 4; i += 1) {
    const day = nextCheckDue(checks, GAP);
    rests.push(daysBetween(checks.at(-1)!.day, day));
    checks.push({ day, passed: true });
  }
  expect(rests[0]).toBe(GAP); // FSRS would ask sooner; the school's gap holds
  for (let i = 2; i < rests.length; i += 1) expect(rests[i]!).toBeGreaterThan(rests[i - 1]!);
  const failed = [...checks, { day: nextCheckDue(checks, GAP), passed: false }];
  expect(daysBetween(failed.at(-1)!.day, nextCheckDue(failed, GAP))).toBeLessThan(rests.at(-1)!);
});

test("the date is the one on which the library's own forgetting curve has come down to nine in ten", () => {
  const memory = fsrs({ request_retention: 0.9, enable_fuzz: false, enable_short_term: false });
  let { card } = memory.next(
    createEmptyCard(new Date('2026-03-01T00:00:00Z')),
    new Date('2026-03-01T00:00:00Z'),
    Rating.Good,
  );
  ({ card } = memory.next(card, new Date('2026-03-08T00:00:00Z'), Rating.Good));
  const days = daysBetween(
    '2026-03-08',
    nextCheckDue(
      [
        { day: '2026-03-01', passed: true },
        { day: '2026-03-08', passed: true },
      ],
      GAP,
    ),
  );
  expect(forgetting_curve(memory.parameters.w, days, card.stability)).toBeCloseTo(0.9, 1);
  expect(forgetting_curve(memory.parameters.w, days + 2, card.stability)).toBeLessThan(0.9);
});

test('the same checks always give the same date, and none gives a clear error', () => {
  const checks = [
    { day: '2026-03-01', passed: true },
    { day: '2026-03-20', passed: true },
  ];
  expect(nextCheckDue(checks, GAP)).toBe(nextCheckDue(checks, GAP));
  expect(() => nextCheckDue([], GAP)).toThrow('No check was flown');
});
