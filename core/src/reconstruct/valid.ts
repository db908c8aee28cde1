/**
 * @throws RangeError naming the quantity, its limits and its unit when the value is not within them
 */
export function within(name: string, value: number, least: number, most: number, unit: string): number {
  if (!(value >= least && value <= most))
    throw new RangeError(`${name} must be from ${least} to ${most} ${unit}, not ${value}.`);
  return value;
}
