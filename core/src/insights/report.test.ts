import { drawFrom } from '../clearance/evidence/simulated';
import type { InsightsPage, WeaknessWent } from '../pages/insights';
import { reportOf } from './report';

/** Schools that are made up, so that what is true of them is known: what the report finds, and what it finds wrongly. */

const countFrom = (chance: () => number) => (mean: number) => {
  let [k, product] = [0, chance()];
  for (; product > Math.exp(-mean); k += 1) product *= chance();
  return k;
};

interface Truth {
  /** Crashes and near-misses a flight. */
  readonly rate: number;
  /** How many times that at the last of five sites. */
  readonly worseSite?: number;
  /** How many times that in the last six months. */
  readonly worseLately?: number;
  /** What is left of a weakness's events after each of two drills. */
  readonly left?: readonly [one: number, other: number];
}

const MONTHS = 24;
const FLIGHTS_A_MONTH = 60;
const SITES = 5;
const WEAKNESSES = 40;

const move = (id: string, kind: 'opened' | 'signed', at: string) => ({
  ...{ id, kind, at, reason: null, undoes: null },
});

function schoolOf(
  { rate, worseSite = 1, worseLately = 1, left = [1, 1] }: Truth,
  seed: number,
): InsightsPage {
  const count = countFrom(drawFrom(seed));
  const happened = (flights: number, mean: number) => {
    const crashes = count(0.4 * mean);
    return { flights, minutes: 12 * flights, crashes, nearMisses: count(0.6 * mean) };
  };
  const weaknesses = Array.from({ length: WEAKNESSES }, (_, i): WeaknessWent => {
    const drill = i % 2 === 0 ? 'tail-in-hover' : 'gap-ladder';
    return {
      causeId: 'overcontrol',
      drillIds: [drill],
      moves: [
        move(`o${i}`, 'opened', '2026-01-10T10:00:00.000Z'),
        move(`s${i}`, 'signed', '2026-02-10T10:00:00.000Z'),
      ],
      before: { flights: 40, events: count(40 * 0.05) },
      after: { flights: 40, events: count(40 * 0.05 * left[i % 2]!) },
    };
  });
  return {
    ...{ from: '2025-01-01', to: '2026-12-31', bands: [], craft: [], weaknesses },
    months: Array.from({ length: MONTHS }, (_, m) => ({
      month: `m${m}`,
      ...happened(FLIGHTS_A_MONTH, FLIGHTS_A_MONTH * rate * (m >= MONTHS - 6 ? worseLately : 1)),
    })),
    sites: Array.from({ length: SITES }, (_, s) => ({
      ...{ id: String(s), name: `Site ${s}` },
      ...happened(240, 240 * rate * (s === SITES - 1 ? worseSite : 1)),
    })),
    causes: [
      { causeId: 'overcontrol', crashes: 6, nearMisses: 6 },
      { causeId: 'yaw-tumble', crashes: 3, nearMisses: 1 },
    ],
  };
}

const reports = (truth: Truth, schools = 120) =>
  Array.from({ length: schools }, (_, seed) => reportOf(schoolOf(truth, seed + 1)));
const share = <T>(all: readonly T[], of: (each: T) => boolean) => all.filter(of).length / all.length;
const changeOf = (report: ReturnType<typeof reportOf>, drillId: string) =>
  report.drills.find((drill) => drill.drillId === drillId)!.change!;

test('where nothing is the matter little is found', () => {
  const all = reports({ rate: 0.05 });
  expect(share(all, ({ worse }) => worse!.alarmAt !== null)).toBeLessThan(0.2);
  expect(
    share(
      all.flatMap(({ sites }) => sites),
      ({ is }) => is !== 'like-the-others',
    ),
  ).toBeLessThan(0.01);
  expect(
    share(
      all.flatMap(({ drills }) => drills),
      ({ change }) => change!.differs,
    ),
  ).toBeLessThan(0.06);
  expect(
    share(
      all.flatMap(({ chart }) => chart.points),
      ({ isOut }) => isOut,
    ),
  ).toBeLessThan(0.02);
});

test('a site that is three times worse, half a year that is twice as bad, and a drill that helps are found; one that does not help is not', () => {
  const site = reports({ rate: 0.05, worseSite: 3 });
  expect(share(site, ({ sites }) => sites[SITES - 1]!.is === 'more')).toBeGreaterThan(0.8);
  expect(
    share(
      site.flatMap(({ sites }) => sites.slice(0, -1)),
      ({ is }) => is === 'more',
    ),
  ).toBe(0);
  const lately = reports({ rate: 0.05, worseLately: 2 });
  expect(share(lately, ({ worse }) => worse!.alarmAt !== null)).toBeGreaterThan(0.8);
  const drill = reports({ rate: 0.05, left: [0.35, 1] });
  expect(share(drill, (each) => changeOf(each, 'tail-in-hover').interval.high < 1)).toBeGreaterThan(0.8);
  expect(share(drill, (each) => changeOf(each, 'gap-ladder').differs)).toBeLessThan(0.08);
});

test('causes add up to all that happened; what is told of few weaknesses is not told', () => {
  const [report] = reports({ rate: 0.05 }, 1);
  expect(report!.causes.map(({ causeId, events, upTo }) => [causeId, events, upTo])).toEqual([
    ['overcontrol', 12, 0.75],
    ['yaw-tumble', 4, 1],
  ]);
  expect(report!.toClear).toMatchObject({ all: WEAKNESSES, ended: WEAKNESSES, median: 31 });
  expect(report!.toRelapse).toMatchObject({ all: WEAKNESSES, ended: 0, median: null });
  const page = schoolOf({ rate: 0.05 }, 3);
  expect(reportOf({ ...page, weaknesses: page.weaknesses.slice(0, 4) }).drills).toEqual([]);
});

describe('two ways of teaching', () => {
  const draw = drawFrom(31);
  /** Weaknesses that take so many days on average, under one way and the other. */
  const taughtBothWays = (days: readonly [one: number, other: number], count = 60) =>
    Array.from({ length: count }, (_, i): WeaknessWent => {
      const [opened, took] = [Date.UTC(2026, 0, 1), Math.ceil(-Math.log(1 - draw()) * days[i % 2]!)];
      const at = (day: number) => new Date(opened + day * 86_400_000).toISOString();
      const [moves, none] = [[move(`o${i}`, 'opened', at(0))], { flights: 0, events: 0 }];
      return {
        ...{ causeId: 'overcontrol', drillIds: ['tail-in-hover'], before: none, after: none },
        taught: { mixing: i % 2 === 0 ? 'late' : 'early' },
        moves: took < 300 ? [...moves, move(`s${i}`, 'signed', at(took))] : moves,
      };
    });
  const waysOf = (weaknesses: readonly WeaknessWent[]) =>
    reportOf({ ...schoolOf({ rate: 0.05 }, 3), weaknesses }).methods;

  test('one that is twice as quick is found, one that is not is called so one time in twenty', () => {
    const calls = (days: readonly [number, number]) =>
      Array.from({ length: 200 }, () => waysOf(taughtBothWays(days))[0]!.test!.p < 0.05).filter(Boolean)
        .length;
    expect(calls([40, 40])).toBeLessThan(20);
    expect(calls([30, 75])).toBeGreaterThan(150);
  });

  test('only what was kept and taught both ways is told of, in the order in which it is offered', () => {
    const some = taughtBothWays([20, 40], 8);
    expect(waysOf(some).map(({ question, ways }) => [question, ways.map(({ answer }) => answer)])).toEqual([
      ['mixing', ['late', 'early']],
    ]);
    expect(waysOf(some.slice(0, 4))).toEqual([]);
    expect(waysOf(some.map((each) => ({ ...each, taught: null })))).toEqual([]);
    expect(waysOf(some.map((each) => ({ ...each, taught: { mixing: 'late' as const } })))).toEqual([]);
  });
});
