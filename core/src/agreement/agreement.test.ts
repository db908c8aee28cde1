import { jStat } from 'jstat';
import { Random } from '../simulator/random';
import { cohenKappa, gwetAc1, type SaidOfCase, studentQuantile } from './agreement';

/** Against published tables, and against what a jackknife makes of the error. */

/** A square table of two people's judgements as single cases. */
const casesOf = (table: readonly (readonly number[])[]): readonly (readonly [string, string])[] =>
  table.flatMap((row, i) =>
    row.flatMap((count, j) => Array.from({ length: count }, () => [`${i}`, `${j}`] as const)),
  );
const saidBy = (pair: readonly string[]): SaidOfCase =>
  pair.reduce<Record<string, number>>((said, each) => ({ ...said, [each]: (said[each] ?? 0) + 1 }), {});

test('where nearly all are the same, kappa falls below nought and AC1 does not (Gwet 2002: 118, 5, 2, 0)', () => {
  const pairs = casesOf([
    [118, 5],
    [2, 0],
  ]);
  expect(cohenKappa(pairs)!.value).toBeCloseTo(-0.0234, 4);
  expect(gwetAc1(pairs.map(saidBy), 2)!.value).toBeCloseTo(0.9408, 4);
});

test('kappa of the example in the documentation of scikit-learn (cohen_kappa_score): 0.6875', () => {
  const one = ['negative', 'positive', 'negative', 'neutral', 'positive'];
  const other = ['negative', 'positive', 'negative', 'neutral', 'negative'];
  expect(cohenKappa(one.map((said, i) => [said, other[i]!]))!.value).toBeCloseTo(0.6875, 12);
});

test('four people, twelve cases, some left out: AC1 0.77544, error 0.14295 (Gwet’s handbook; R irrCAC, cac.raw4raters, from memory)', () => {
  const rows = [
    '11-1',
    '2232',
    '3333',
    '3333',
    '2222',
    '1234',
    '4444',
    '1121',
    '2222',
    '-555',
    '--11',
    '--3-',
  ];
  const ac1 = gwetAc1(
    rows.map((row) => saidBy([...row].filter((said) => said !== '-'))),
    5,
  )!;
  expect(ac1.same).toBeCloseTo(0.81818, 5);
  expect(ac1.value).toBeCloseTo(0.77544, 5);
  expect(ac1.standardError).toBeCloseTo(0.14295, 5);
  expect(ac1.interval!.low).toBeCloseTo(0.461, 3);
  expect(ac1.interval!.high).toBe(1);
});

test('Student’s t is that of jStat from five degrees on', () => {
  for (const degrees of [5, 6, 8, 11, 20, 60, 500])
    expect(studentQuantile(degrees) / jStat.studentt.inv(0.975, degrees)).toBeCloseTo(1, 3);
});

/** The error when each case is left out in turn. */
function jackknife<T>(cases: readonly T[], figure: (of: readonly T[]) => number): number {
  const left = cases.map((_, i) => figure(cases.filter((__, j) => j !== i)));
  const mean = left.reduce((sum, value) => sum + value, 0) / left.length;
  const n = cases.length;
  return Math.sqrt(((n - 1) / n) * left.reduce((sum, value) => sum + (value - mean) ** 2, 0));
}

test.each([0.4, 0.7, 0.9])('errors are those of a jackknife, of two who agree in %d of 200', (agree) => {
  const random = new Random(Math.round(agree * 100));
  const pairs = Array.from({ length: 200 }, (): readonly [string, string] => {
    const one = String(Math.floor(random.uniform() * 4));
    return [one, random.uniform() < agree ? one : String(Math.floor(random.uniform() * 4))];
  });
  const kappa = cohenKappa(pairs)!.standardError;
  expect(kappa / jackknife(pairs, (of) => cohenKappa(of)!.value)).toBeCloseTo(1, 1);
  const cases = pairs.map(saidBy);
  expect(gwetAc1(cases, 4)!.standardError / jackknife(cases, (of) => gwetAc1(of, 4)!.value)).toBeCloseTo(
    1,
    1,
  );
});

test('its interval holds the truth about as often as it says: two of whom each is right in 80 of 100', () => {
  const random = new Random(7);
  const draw = (n: number) =>
    Array.from({ length: n }, () => {
      const truth = Math.floor(random.uniform() * 10);
      const one = () => String(random.uniform() < 0.8 ? truth : Math.floor(random.uniform() * 10));
      return saidBy([one(), one()]);
    });
  const truth = gwetAc1(draw(60_000), 10)!.value;
  const runs = 400;
  let held = 0;
  for (let i = 0; i < runs; i += 1) {
    const { low, high } = gwetAc1(draw(30), 10)!.interval!;
    if (low <= truth && truth <= high) held += 1;
  }
  expect(held / runs).toBeGreaterThan(0.9);
  expect(held / runs).toBeLessThan(0.99);
});

test('too little to say', () => {
  expect(gwetAc1([], 33)).toBeNull();
  expect(gwetAc1([{ a: 1 }, { b: 1 }], 33)).toBeNull();
  expect(cohenKappa([])).toBeNull();
  expect(
    cohenKappa([
      ['a', 'a'],
      ['a', 'a'],
    ]),
  ).toBeNull();
  expect(gwetAc1([{ a: 2 }, { b: 2 }], 33)!.interval).toBeNull();
});
