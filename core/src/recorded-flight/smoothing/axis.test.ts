import { inv, matrix, type Matrix, multiply, transpose } from 'mathjs';
import { chanceOf } from '../../second-model/flights';
import { AxisSmoother } from './axis';

/** The same worked out in one go: every state of every moment as the unknowns of one weighted least squares, by mathjs. */
function inOneGo(
  t: readonly number[],
  place: readonly number[],
  speed: readonly number[],
  { jerk, placeSd, speedSd }: { readonly jerk: number; readonly placeSd: number; readonly speedSd: number },
) {
  const n = 3 * t.length;
  const information = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  const right = new Array<number>(n).fill(0);
  const add = (rows: readonly number[], coefficients: number[][], told: number[], weight: number[][]) => {
    // Cᵀ W C and Cᵀ W y, at the places of these unknowns.
    const c = matrix(coefficients);
    const cw = multiply(transpose(c), matrix(weight)) as Matrix;
    const a = (multiply(cw, c) as Matrix).toArray() as number[][];
    const b = (multiply(cw, matrix(told)) as Matrix).toArray() as number[];
    rows.forEach((r, i) => {
      right[r]! += b[i]!;
      rows.forEach((s, j) => (information[r]![s]! += a[i]![j]!));
    });
  };
  const first = [1 / (100 * placeSd ** 2 + 1), 1 / 400, 1 / 25];
  first.forEach((weight, k) => add([k], [[1]], [k === 0 ? place[0]! : 0], [[weight]]));
  t.forEach((now, i) => {
    add([3 * i], [[1]], [place[i]!], [[1 / placeSd ** 2]]);
    if (Number.isFinite(speed[i]!)) add([3 * i + 1], [[1]], [speed[i]!], [[1 / speedSd ** 2]]);
    if (i === 0) return;
    const d = now - t[i - 1]!;
    const q = [
      [d ** 5 / 20, d ** 4 / 8, d ** 3 / 6],
      [d ** 4 / 8, d ** 3 / 3, d ** 2 / 2],
      [d ** 3 / 6, d ** 2 / 2, d],
    ].map((row) => row.map((value) => value * jerk));
    const goesOn = [
      [-1, -d, -(d * d) / 2, 1, 0, 0],
      [0, -1, -d, 0, 1, 0],
      [0, 0, -1, 0, 0, 1],
    ];
    add(
      [0, 1, 2, 3, 4, 5].map((k) => 3 * (i - 1) + k),
      goesOn,
      [0, 0, 0],
      inv(matrix(q)).toArray() as number[][],
    );
  });
  const spread = inv(matrix(information)).toArray() as number[][];
  const states = (multiply(matrix(spread), matrix(right)) as Matrix).toArray() as number[];
  return { states, spread };
}

test('is what a weighted least squares over the whole flight gives, state by state, spread by spread', () => {
  const { normal } = chanceOf(3);
  const t = [0, 0.2, 0.4, 0.55, 0.8, 1.6, 1.8, 2, 2.5, 2.6, 3.1, 3.4];
  const place = t.map((now) => Math.sin(now) * 4 + 0.3 * normal());
  const speed = t.map((now, i) => (i % 3 === 0 ? 4 * Math.cos(now) + 0.1 * normal() : NaN));
  const settings = { jerk: 12, placeSd: 0.3, speedSd: 0.1 };
  const smooth = new AxisSmoother({ jerk: 12, wander: null }).smooth({
    t: Float64Array.from(t),
    place: Float64Array.from(place),
    speed: Float64Array.from(speed),
    placeSd: 0.3,
    speedSd: 0.1,
  });
  const { states, spread } = inOneGo(t, place, speed, settings);
  t.forEach((_, i) => {
    expect(smooth.place[i]).toBeCloseTo(states[3 * i]!, 6);
    expect(smooth.speed[i]).toBeCloseTo(states[3 * i + 1]!, 6);
    expect(smooth.push[i]).toBeCloseTo(states[3 * i + 2]!, 5);
    expect(smooth.placeSd[i]).toBeCloseTo(Math.sqrt(spread[3 * i]![3 * i]!), 6);
    expect(smooth.speedSd[i]).toBeCloseTo(Math.sqrt(spread[3 * i + 1]![3 * i + 1]!), 6);
  });
});

/**
 * 0.025 and 0.975 quantiles of chi-square over its degrees of freedom, as `stats.chi2.ppf([.025, .975], 200) / 200` of SciPy
 * gives them.
 */
const BAND_OF_200 = [0.8136, 1.2053] as const;

test('its spread is neither too small nor too large: normalised squared errors within their 95 % band', () => {
  // One moment of each flight, so that they are independent (Bar-Shalom, Li and Kirubarajan 2001, 5.4).
  const flights = 200;
  const settings = { jerk: 12, sd: 0.3, wander: { m: 1.2, s: 25 } };
  let [ofPlace, ofSpeed] = [0, 0];
  for (let seed = 1; seed <= flights; seed += 1) {
    const { normal } = chanceOf(seed);
    const dt = 0.1;
    let [p, v, a] = [0, 3 * normal(), normal()];
    let off = settings.wander.m * normal();
    const keeps = Math.exp(-dt / settings.wander.s);
    const [truth, told] = [[] as [number, number][], [] as number[]];
    for (let i = 0; i < 120; i += 1) {
      // White jerk in small steps: the model's own truth.
      for (let k = 0; k < 20; k += 1) {
        const h = dt / 20;
        p += v * h + (a * h * h) / 2;
        v += a * h;
        a += Math.sqrt(settings.jerk * h) * normal();
      }
      off = keeps * off + settings.wander.m * Math.sqrt(1 - keeps * keeps) * normal();
      truth.push([p, v]);
      told.push(p + off + settings.sd * normal());
    }
    const smooth = new AxisSmoother({ jerk: settings.jerk, wander: settings.wander }).smooth({
      t: Float64Array.from(told, (_, i) => i * dt),
      place: Float64Array.from(told),
      placeSd: settings.sd,
      speed: null,
      speedSd: 1,
    });
    ofPlace += ((smooth.place[60]! - truth[60]![0]) / smooth.placeSd[60]!) ** 2;
    ofSpeed += ((smooth.speed[60]! - truth[60]![1]) / smooth.speedSd[60]!) ** 2;
  }
  for (const mean of [ofPlace / flights, ofSpeed / flights]) {
    expect(mean).toBeGreaterThan(BAND_OF_200[0]);
    expect(mean).toBeLessThan(BAND_OF_200[1]);
  }
});

test('spreads that have settled are not worked out anew, and nothing comes out otherwise', () => {
  const { normal } = chanceOf(8);
  const count = 1_500;
  // Lines at an even pace, with a gap, and places and speeds that are missing for a while.
  const t = Float64Array.from({ length: count }, (_, i) => i * 0.02 + (i > 700 ? 3 : 0));
  const place = t.map((now, i) => (i > 300 && i < 380 ? NaN : 8 * Math.sin(now / 2) + 0.2 * normal()));
  const speed = t.map((now, i) => (i > 1_000 && i < 1_060 ? NaN : 4 * Math.cos(now / 2) + 0.1 * normal()));
  const smoothed = (times: Float64Array, wander: { m: number; s: number } | null) =>
    new AxisSmoother({ jerk: 12, wander }).smooth({ t: times, place, speed, placeSd: 0.2, speedSd: 0.1 });
  // A few ten millionths of a second beside the even pace: never the same step twice, so that nothing settles.
  const uneven = t.map((now, i) => now + 1e-7 * ((i * 7) % 11));
  for (const wander of [null, { m: 1.2, s: 25 }]) {
    const [even, each] = [smoothed(t, wander), smoothed(uneven, wander)];
    for (const column of ['place', 'speed', 'push', 'placeSd', 'speedSd'] as const)
      expect([
        column,
        Math.max(...even[column].map((value, i) => Math.abs(value - each[column][i]!))) < 1e-4,
      ]).toEqual([column, true]);
  }
});
