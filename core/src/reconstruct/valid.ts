/**
 * @param limits the least and the most that it may be, and its unit
 * @throws RangeError naming the quantity, its limits and its unit when the value is not within them
 */
export function within(
  name: string,
  value: number,
  [least, most, unit]: readonly [number, number, string],
): number {
  if (!(value >= least && value <= most))
    throw new RangeError(`${name} must be from ${least} to ${most} ${unit}, not ${value}.`);
  return value;
}
