/** Slope at which the logistic curve lies within 0.01 of the normal one. */
const LOGISTIC_SCALE = 1.702;

/**
 * Chance that what was needed was more than what was there, when both are known only roughly: it moves
 * smoothly with
 * the ratio, is ½ when they are equal, and is steeper the better they are known.
 * The errors are taken as log-normal; the logistic curve stands for the normal one.
 * @param needed above 0
 * @param there above 0
 * @param spread standard deviation of the ratio's logarithm, above 0: 0.25 for "about a quarter off"
 * @returns 0 to 1
 */
export function chanceOver(needed: number, there: number, spread: number): number {
  if (!(needed > 0)) return 0;
  if (!(there > 0)) return 1;
  return 1 / (1 + Math.exp((-LOGISTIC_SCALE * Math.log(needed / there)) / spread));
}

/** Standard deviation of a sum of independent ones. */
export const together = (...spreads: readonly number[]): number => Math.hypot(...spreads);
