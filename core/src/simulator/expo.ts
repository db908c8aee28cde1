import type { Axis } from '../vocabulary/flying';

/** Centre-softened stick: (1 − e) x + e x³. Common practice. @param x −1 to 1 @param e 0 for none to 1 */
export const expoCurve = (x: number, e: number): number => (1 - e) * x + e * x * x * x;

/** How a stick is shaped before it flies the craft. */
export interface StickShape {
  /** Centre-softening, 0 to 1. */
  readonly softening: number;
  /** Share of its travel that the craft is given, above 0 to 1. */
  readonly rate: number;
  /** Added to it, so that the craft stands still with the stick at rest. */
  readonly trim: number;
}

/** A stick softened, at its rate, trimmed. Common practice of transmitters. @param x −1 to 1 @returns −1 to 1 */
export const shapedStick = (x: number, { softening, rate, trim }: StickShape): number =>
  Math.max(-1, Math.min(1, rate * expoCurve(x, softening) + trim));

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
