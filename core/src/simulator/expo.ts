import type { Axis } from '../vocabulary/flying';

/** Centre-softened stick: (1 − e) x + e x³. Common practice. @param x −1 to 1 @param e 0 for none to 1 */
export const expoCurve = (x: number, e: number): number => (1 - e) * x + e * x * x * x;

/** All four sticks softened alike. */
export const withExpo = (
  sticks: Readonly<Record<Axis, number>>,
  e: number,
): Readonly<Record<Axis, number>> => ({
  throttle: expoCurve(sticks.throttle, e),
  yaw: expoCurve(sticks.yaw, e),
  pitch: expoCurve(sticks.pitch, e),
  roll: expoCurve(sticks.roll, e),
});
