import { jStat } from 'jstat';
import { drawFrom } from '../clearance/evidence/simulated';
import type { SignsPage } from '../pages/signs';
import { atLeastAgain, logGamma } from './beta-binomial';
import {
  earlySigns,
  missesMore,
  MOST_REPS_BEFORE,
  nearMissesMore,
  REPS_BEFORE,
  REPS_LATELY,
} from './early-signs';

/** Signs are held against pilots and places whose truth is known: those that slip, and those that only seem to. */

describe('the chance of so many again', () => {
  test('is the binomial one, weighed over the shares that may be (integrated by jStat’s beta density)', () => {
    for (const [k, n, s, m] of [
      [6, 20, 5, 40],
      [11, 20, 8, 30],
      [0, 5, 0, 10],
      [20, 20, 2, 100],
    ] as const) {
      const steps = 20_000;
      let sum = 0;
      for (let i = 0; i < steps; i += 1) {
        // Squared, so that what is steep at 0 is met often enough.
        const x = ((i + 0.5) / steps) ** 2;
        const width = (2 * (i + 0.5)) / steps / steps;
        const upTo = k === 0 ? 0 : jStat.binomial.cdf(k - 1, n, x);
        sum += width * jStat.beta.pdf(x, s + 0.5, m - s + 0.5) * (1 - upTo);
      }
      expect(atLeastAgain({ events: k, tries: n }, { events: s, tries: m })).toBeCloseTo(sum, 4);
    }
  });

  test('is that of so many or more: all of them together are certain, and what is no count is refused', () => {
    expect(atLeastAgain({ events: 0, tries: 20 }, { events: 3, tries: 50 })).toBeCloseTo(1, 10);
    expect(() => atLeastAgain({ events: 3, tries: 2 }, { events: 0, tries: 1 })).toThrow(RangeError);
    expect(() => atLeastAgain({ events: 0.5, tries: 2 }, { events: 0, tries: 1 })).toThrow(/0.5 of 2/);
  });

  test('ln Γ as jStat has it', () => {
    for (const x of [0.5, 1, 1.5, 4, 11.5, 12, 100.5]) expect(logGamma(x)).toBeCloseTo(jStat.gammaln(x), 9);
  });
});

/** Looks once a week for a year at a pilot who flies so many reps of a drill a week. */
function firstWeekSeen(draw: () => number, missChance: (week: number) => number, aWeek = 10): number | null {
  const missed: boolean[] = Array.from({ length: REPS_BEFORE + REPS_LATELY }, () => draw() < missChance(0));
  const misses = (of: readonly boolean[]) => ({ events: of.filter(Boolean).length, tries: of.length });
  for (let week = 1; week <= 52; week += 1) {
    for (let i = 0; i < aWeek; i += 1) missed.push(draw() < missChance(week));
    const before = missed.slice(-REPS_LATELY - MOST_REPS_BEFORE, -REPS_LATELY);
    if (missesMore({ lately: misses(missed.slice(-REPS_LATELY)), before: misses(before) })) return week;
  }
  return null;
}
const shareSeen = (missChance: (week: number) => number, within = 52, pilots = 400) => {
  const draw = drawFrom(7);
  const seen = Array.from({ length: pilots }, () => firstWeekSeen(draw, missChance));
  return seen.filter((week) => week !== null && week <= within).length / pilots;
};

test('of pilots who stay as they are few are named within a year; of those who slip most within four weeks', () => {
  for (const steady of [0.05, 0.2, 0.4]) expect(shareSeen(() => steady)).toBeLessThan(0.11);
  // From one miss in five to three in five.
  expect(shareSeen((week) => (week < 1 ? 0.2 : 0.6), 4)).toBeGreaterThan(0.85);
  // Who gets better is taken for one who slips more seldom still.
  expect(shareSeen((week) => 0.6 / (1 + week / 4))).toBeLessThan(0.04);
});

test('near-misses lately are held against as much flying before', () => {
  const of = (nearMisses: number, flights: number, beforeNearMisses: number, beforeFlights: number) =>
    nearMissesMore({
      lately: { nearMisses, flights },
      before: { nearMisses: beforeNearMisses, flights: beforeFlights },
    });
  expect(of(4, 10, 2, 120)).toBe(true);
  // As many, but of flying that was as much more.
  expect(of(4, 60, 8, 120)).toBe(false);
  // Two are no sign, and without flying there is nothing to hold them against.
  expect([of(2, 1, 0, 300), of(5, 0, 0, 100), of(5, 10, 0, 0)]).toEqual([false, false, false]);
  // Exactly, by counting: six in all of which the last ten of 130 flights hold four or more.
  const share = 10 / 130;
  const atLeastFour = [4, 5, 6].reduce((sum, k) => sum + jStat.binomial.pdf(k, 6, share), 0);
  expect(atLeastFour).toBeLessThan(1 / 300);
});

const NOTHING: SignsPage = { today: '2026-11-20', drilled: [], flown: [], checks: [], places: [] };
const flown = (pilotName: string, lastFlownOn: string, flights = 30) => ({
  ...{ pilotId: pilotName, pilotName, lastFlownOn },
  ...{ lately: { flights: 0, nearMisses: 0 }, before: { flights, nearMisses: 0 } },
});

test('a check that waits and a long rest are named by their days; who seldom flew is not', () => {
  const check = { pilotId: 'b', pilotName: 'Bera', weaknessId: 'w', causeId: 'yaw-tumble' } as const;
  const { pilots } = earlySigns({
    ...NOTHING,
    checks: [
      { ...check, due: '2026-11-06' },
      { ...check, due: '2026-11-07' },
    ],
    flown: [flown('Arn', '2026-10-06'), flown('Cato', '2026-10-07'), flown('Dag', '2025-12-30', 11)],
  });
  expect(pilots.map(({ pilotName, signs }) => [pilotName, signs.map(({ kind }) => kind)])).toEqual([
    ['Arn', ['not-flown']],
    ['Bera', ['check-waits']],
  ]);
  expect(pilots.flatMap(({ signs }) => signs)).toMatchObject([{ days: 45 }, { days: 14 }]);
});

test('a place is named where near-misses gather beyond its flying, and no place where all are alike', () => {
  const place = (siteName: string, flights: number, nearMisses: number) => ({
    ...({ siteId: siteName, siteName, band: 'breezy', flights, nearMisses, minutes: 0, crashes: 0 } as const),
  });
  const places = [place('Moor', 400, 8), place('Quarry', 60, 9), place('Col', 10, 1)];
  expect(earlySigns({ ...NOTHING, places }).places).toMatchObject([
    { siteName: 'Quarry', expected: 60 * (18 / 470) },
  ]);
  expect(earlySigns({ ...NOTHING, places: [place('Moor', 400, 8), place('Col', 50, 3)] }).places).toEqual([]);
  expect(earlySigns(NOTHING)).toEqual({ pilots: [], places: [] });
});
