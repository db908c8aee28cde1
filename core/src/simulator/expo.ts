import type { Axis } from '../vocabulary/flying';

/** Centre-softened stick: (1 − e) x + e x³. Common practice. @param x −1 to 1 @param e 0 for none to 1 */
export const soften = (x: number, e: number): number => (1 - e) * x + e * x * x * x;

/** All four sticks softened alike. */
export const softened = (
  sticks: Readonly<Record<Axis, number>>,
  e: number,
): Readonly<Record<Axis, number>> => ({
  throttle: soften(sticks.throttle, e),
  yaw: soften(sticks.yaw, e),
  pitch: soften(sticks.pitch, e),
  roll: soften(sticks.roll, e),
});
