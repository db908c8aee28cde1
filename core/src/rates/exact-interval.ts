/** An interval for a rate or share; `high` may be Infinity only where nothing was observed at all. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** ln n! by summing; counts here are flights and crashes, so hundreds at most. */
const logFactorials = [0];
function logFactorial(n: number): number {
  for (let i = logFactorials.length; i <= n; i += 1) logFactorials.push(logFactorials[i - 1]! + Math.log(i));
  return logFactorials[n]!;
}

/** P(X ≤ k) for X binomial(n, p). Terms go through logarithms, since n choose k overflows early. */
export function binomialAtMost(k: number, n: number, p: number): number {
  if (k < 0) return 0;
  if (k >= n || p <= 0) return 1;
  if (p >= 1) return 0;
  let sum = 0;
  for (let i = 0; i <= k; i += 1) {
    sum += Math.exp(
      logFactorial(n) - logFactorial(i) - logFactorial(n - i) + i * Math.log(p) + (n - i) * Math.log1p(-p),
    );
  }
  return Math.min(1, sum);
}

/** A term this much smaller than the sum no longer changes it. */
const NEGLIGIBLE = 1e-18;

/** P(X ≤ k) for X Poisson(mean): from the largest term down, so that great counts cost no more than their spread. */
export function poissonAtMost(k: number, mean: number): number {
  if (k < 0) return 0;
  if (mean <= 0) return 1;
  const from = Math.min(k, Math.floor(mean));
  const largest = Math.exp(from * Math.log(mean) - mean - logFactorial(from));
  let sum = largest;
  for (let [i, term] = [from, largest]; i > 0 && term > NEGLIGIBLE * sum; i -= 1) {
    term *= i / mean;
    sum += term;
  }
  for (let [i, term] = [from + 1, largest]; i <= k && term > NEGLIGIBLE * sum; i += 1) {
    term *= mean / i;
    sum += term;
  }
  return Math.min(1, sum);
}

/** Where a function that falls from above `target` to below it crosses it; halving to double precision. */
function crossing(falling: (x: number) => number, target: number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 200 && high - low > 1e-15 * high; i += 1) {
    const middle = (low + high) / 2;
    if (falling(middle) > target) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const assertCount = (name: string, value: number, atMost = Number.POSITIVE_INFINITY) => {
  if (!Number.isInteger(value) || value < 0 || value > atMost)
    throw new RangeError(`${name} must be a whole number from 0 to ${atMost}, not ${value}.`);
};

/**
 * Two-sided exact interval for a share (Clopper and Pearson, Biometrika 1934).
 * @param events how many, 0 … trials
 * @param trials out of how many, 1 or more
 */
export function clopperPearson(events: number, trials: number, confidence = 0.95): Interval {
  assertCount('Trials', trials);
  if (trials === 0) throw new RangeError('A share needs at least one trial.');
  assertCount('Events', events, trials);
  const tail = (1 - confidence) / 2;
  return {
    low: events === 0 ? 0 : crossing((p) => binomialAtMost(events - 1, trials, p), 1 - tail, 0, 1),
    high: events === trials ? 1 : crossing((p) => binomialAtMost(events, trials, p), tail, 0, 1),
  };
}

/**
 * Two-sided exact interval for the mean of a count (Garwood, Biometrika 1936); divide by the
 * exposure for a rate.
 * @param events how many were counted, 0 or more
 */
export function garwood(events: number, confidence = 0.95): Interval {
  assertCount('Events', events);
  const tail = (1 - confidence) / 2;
  const ceiling = 2 * events + 40;
  return {
    low: events === 0 ? 0 : crossing((mean) => poissonAtMost(events - 1, mean), 1 - tail, 0, ceiling),
    high: crossing((mean) => poissonAtMost(events, mean), tail, 0, ceiling),
  };
}
