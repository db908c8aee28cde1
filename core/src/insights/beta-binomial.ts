const LOG_SQRT_TWO_PI = 0.9189385332046727;
/** Stirling's series from here on is exact to twelve places. */
const STIRLING_FROM = 12;

/** ln Γ(x) for x > 0: Stirling's series, from smaller ones stepped up to (Abramowitz and Stegun, 6.1.41). */
export function logGamma(x: number): number {
  let [shift, at] = [0, x];
  for (; at < STIRLING_FROM; at += 1) shift += Math.log(at);
  const square = 1 / (at * at);
  const series = (1 / 12 - square * (1 / 360 - square * (1 / 1260 - square / 1680))) / at;
  return (at - 0.5) * Math.log(at) - at + LOG_SQRT_TWO_PI + series - shift;
}

const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

/**
 * Chance of at least so many among the next n, of something that happened s times in m before and has not changed: the
 * beta-binomial, with Jeffreys' prior on its share. How little is known of the share is in it.
 * @throws RangeError where a count is not among its tries
 */
export function atLeastAgain(
  next: { readonly events: number; readonly tries: number },
  before: { readonly events: number; readonly tries: number },
): number {
  for (const { events, tries } of [next, before])
    if (!Number.isInteger(events) || !Number.isInteger(tries) || events < 0 || events > tries)
      throw new RangeError(`Not a count among its tries: ${events} of ${tries}.`);
  const [a, b] = [before.events + 0.5, before.tries - before.events + 0.5];
  const n = next.tries;
  const base = logGamma(n + 1) - logBeta(a, b);
  let sum = 0;
  for (let k = next.events; k <= n; k += 1)
    sum += Math.exp(base - logGamma(k + 1) - logGamma(n - k + 1) + logBeta(k + a, n - k + b));
  return Math.min(1, sum);
}
