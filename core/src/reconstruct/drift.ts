import { within } from './valid';

/**
 * How far in m the air carries a craft at rest from the moment its position hold is lost: w (t − τ (1 −
 * e^(−t/τ))).
 * It starts gently and ends at the speed of the wind. Linear drag; common practice, τ about 2 to 4 s for
 * small craft.
 * @param windMps 0 to 60
 * @param seconds until the first real correction, 0 to 600
 * @param dragTimeS see `dragTime`, 0.05 to 60
 * @throws RangeError outside these
 */
export function driftDistance(windMps: number, seconds: number, dragTimeS: number): number {
  within('Wind', windMps, [0, 60, 'm/s']);
  within('Time', seconds, [0, 600, 's']);
  within('Drag time', dragTimeS, [0.05, 60, 's']);
  // expm1 keeps the digits while t is small beside τ and the two terms nearly cancel.
  return windMps * (seconds + dragTimeS * Math.expm1(-seconds / dragTimeS));
}

/** Speed in m/s that the craft has taken up by then: w (1 − e^(−t/τ)). */
export const driftSpeed = (windMps: number, seconds: number, dragTimeS: number): number =>
  -windMps * Math.expm1(-seconds / dragTimeS);
