import { poissonAtMost } from '../rates/exact-interval';
import { type Counted, inAll } from './event-rate';

/**
 * Is it getting worse? The CUSUM for counts (Lucas, Technometrics 1985): of each period what was counted beyond a
 * reference between the usual rate and the one that must not be missed is added up, never below zero. Its limit is set
 * so that with the usual rate it alarms once in so many periods on average.
 */
export interface PoissonCusum {
  /** Events an exposure of one, from the periods it was learnt on. */
  readonly usual: number;
  readonly sums: readonly number[];
  readonly limit: number;
  /** The first period that alarms; null: none. */
  readonly alarmAt: number | null;
  /** Periods between two false alarms on average, and until an alarm once the rate is as much worse as told. */
  readonly falseAlarmEvery: number;
  readonly foundWithin: number;
}

export interface CusumAsked {
  /** How many times the usual rate must not be missed. */
  readonly times: number;
  /** Periods between two false alarms on average, at least. */
  readonly falseAlarmEvery: number;
}

const STATES = 64;

/**
 * Periods until an alarm on average, from zero, by a Markov chain over the sum (Brook and Evans, Biometrika 1972).
 * @param mean events a period
 * @param reference what is taken off each
 */
export function averageRun(mean: number, reference: number, limit: number): number {
  const width = (2 * limit) / (2 * STATES - 1);
  /** Chance of so few events that the sum goes up by so many steps at most, from the deepest fall on. */
  const atMost = Float64Array.from({ length: 2 * STATES }, (_, step) =>
    poissonAtMost(Math.floor((step - STATES + 0.5) * width + reference + 1e-9), mean),
  );
  const upTo = (i: number, j: number) => atMost[j - i + STATES]!;
  const rows = Array.from({ length: STATES }, (_, i) =>
    Float64Array.from({ length: STATES + 1 }, (__, j) => {
      if (j === STATES) return 1;
      return (i === j ? 1 : 0) - (j === 0 ? upTo(i, 0) : upTo(i, j) - upTo(i, j - 1));
    }),
  );
  return solved(rows)[0]!;
}

/** Solves a system by elimination with the largest pivot. @param rows the matrix with the right side behind it */
function solved(rows: Float64Array[]): Float64Array {
  const n = rows.length;
  for (let c = 0; c < n; c += 1) {
    let best = c;
    for (let r = c + 1; r < n; r += 1) if (Math.abs(rows[r]![c]!) > Math.abs(rows[best]![c]!)) best = r;
    [rows[c], rows[best]] = [rows[best]!, rows[c]!];
    const pivot = rows[c]!;
    for (let r = c + 1; r < n; r += 1) {
      const row = rows[r]!;
      const times = row[c]! / pivot[c]!;
      if (times !== 0) for (let k = c; k <= n; k += 1) row[k] = row[k]! - times * pivot[k]!;
    }
  }
  const found = new Float64Array(n);
  for (let r = n - 1; r >= 0; r -= 1) {
    let rest = rows[r]![n]!;
    for (let k = r + 1; k < n; k += 1) rest -= rows[r]![k]! * found[k]!;
    found[r] = rest / rows[r]![r]!;
  }
  return found;
}

/** The smallest limit, in steps of a quarter, with no more false alarms than asked for. */
function limitFor(mean: number, reference: number, falseAlarmEvery: number): number {
  let [low, high] = [1, 4];
  const enough = (quarters: number) => averageRun(mean, reference, quarters / 4) >= falseAlarmEvery;
  while (!enough(high)) [low, high] = [high, 2 * high];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high / 4;
}

/**
 * @param learnt periods from which the usual rate comes
 * @param watched periods after them, in their order
 * @returns null where too little was learnt: no event, or nothing flown
 */
export function poissonCusum(
  learnt: readonly Counted[],
  watched: readonly Counted[],
  { times, falseAlarmEvery }: CusumAsked,
): PoissonCusum | null {
  const before = inAll(learnt);
  const flown = watched.filter(({ exposure }) => exposure > 0);
  if (before.events === 0 || !(before.exposure > 0) || flown.length === 0) return null;
  const usual = before.events / before.exposure;
  const perExposure = (usual * (times - 1)) / Math.log(times);
  const mean = (usual * inAll(flown).exposure) / flown.length;
  const reference = (mean * (times - 1)) / Math.log(times);
  const limit = limitFor(mean, reference, falseAlarmEvery);
  let sum = 0;
  const sums = watched.map(
    ({ events, exposure }) => (sum = Math.max(0, sum + events - perExposure * exposure)),
  );
  const alarm = sums.findIndex((each) => each >= limit);
  return {
    ...{ usual, sums, limit, alarmAt: alarm === -1 ? null : alarm },
    falseAlarmEvery: averageRun(mean, reference, limit),
    foundWithin: averageRun(times * mean, reference, limit),
  };
}
