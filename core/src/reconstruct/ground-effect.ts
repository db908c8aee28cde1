import { within } from './valid';

/**
 * Thrust in ground effect over thrust out of it, at constant power: 1 / (1 − (R / 4z)²). For one rotor.
 * Source: Cheeseman and Bennett, ARC R&M 3021, 1955.
 * @param rotorRadiusM R, in m, 0.005 to 3
 * @param discHeightM z, height of the rotor disc above the ground in m; below R/2 the formula does not hold
 * @throws RangeError outside these
 */
export function groundEffect(rotorRadiusM: number, discHeightM: number): number {
  within('Rotor radius', rotorRadiusM, [0.005, 3, 'm']);
  within('Disc height', discHeightM, [rotorRadiusM / 2, 1e6, 'm']);
  return 1 / (1 - (rotorRadiusM / (4 * discHeightM)) ** 2);
}
