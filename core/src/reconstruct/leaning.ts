import { G_MPS2, radians } from './constants';
import { within } from './valid';

const leanIn = (leanDeg: number) => radians(within('Lean', leanDeg, [0, 85, '°']));

/**
 * Thrust needed to hold height in a lean, as a multiple of the weight: 1 / cos θ.
 * Source: FAA-H-8083-25C, load factor chart.
 * @param leanDeg 0 to 85
 */
export const loadFactor = (leanDeg: number): number => 1 / Math.cos(leanIn(leanDeg));

/**
 * Steepest lean in degrees at which full thrust still holds the height: arccos(1 / thrust-to-weight).
 * @param thrustToWeight 1 to 20
 */
export const steepestLevelLean = (thrustToWeight: number): number =>
  (Math.acos(1 / within('Thrust to weight', thrustToWeight, [1, 20, ''])) * 180) / Math.PI;

/**
 * Height in m lost in a lean when the throttle stays where it held the hover: ½ g (1 − cos θ) t². Without
 * drag, so an upper bound.
 * @param leanDeg 0 to 85
 * @param seconds 0 to 60
 */
export const heightLostInLean = (leanDeg: number, seconds: number): number =>
  0.5 * G_MPS2 * (1 - Math.cos(leanIn(leanDeg))) * within('Time', seconds, [0, 60, 's']) ** 2;

/**
 * Radius in m of a level, coordinated turn: V² / (g tan θ).
 * Source: FAA-H-8083-25C.
 * @param speedMps 0 to 100
 * @param leanDeg above 0, to 85
 */
export const turnRadius = (speedMps: number, leanDeg: number): number =>
  within('Speed', speedMps, [0, 100, 'm/s']) ** 2 /
  (G_MPS2 * Math.tan(radians(within('Lean', leanDeg, [0.1, 85, '°']))));

/**
 * Yaw rate in °/s that keeps the nose on the path of a level turn: g tan θ / V.
 * Source: FAA-H-8083-25C.
 * @param speedMps 0.1 to 100
 * @param leanDeg 0 to 85
 */
export const yawRateAlongPath = (speedMps: number, leanDeg: number): number =>
  (((G_MPS2 * Math.tan(leanIn(leanDeg))) / within('Speed', speedMps, [0.1, 100, 'm/s'])) * 180) / Math.PI;
