/** Terms until they no longer change a double. */
const MOST_TERMS = 500;

/**
 * Chance that chi-square with one degree of freedom is beyond a value: the complementary error function of its root, by
 * series below 2 and by Lentz's continued fraction above (Abramowitz and Stegun 7.1.5 and 7.1.14).
 * @param value 0 or more
 */
export function chiSquareBeyond(value: number): number {
  const x = Math.sqrt(value / 2);
  if (x < 2) {
    let [term, sum] = [x, x];
    for (let n = 1; n < MOST_TERMS && Math.abs(term) > 1e-17 * Math.abs(sum); n += 1) {
      term *= (-x * x) / n;
      sum += term / (2 * n + 1);
    }
    return 1 - (2 / Math.sqrt(Math.PI)) * sum;
  }
  let fraction = 0;
  for (let n = MOST_TERMS; n > 0; n -= 1) fraction = n / 2 / (x + fraction);
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / (x + fraction);
}
