import { G_MPS2 } from './constants';
import { within } from './valid';

/**
 * Speed in m/s at which the rotors push the air down in a hover: v_h = √(T / 2ρA), thrust T the weight.
 * Every figure about a craft's own wash is a share of it.
 * Source: momentum theory; Leishman, Principles of Helicopter Aerodynamics, ch. 2.
 * @param massKg 0.01 to 200
 * @param rotors number of rotors side by side, 1 to 16
 * @param rotorRadiusM radius of one rotor in m, 0.005 to 3
 * @param densityKgM3 density of the air, 0.3 to 1.6
 * @throws RangeError outside these
 */
export function hoverInducedVelocity(
  massKg: number,
  rotors: number,
  rotorRadiusM: number,
  densityKgM3: number,
): number {
  within('Mass', massKg, [0.01, 200, 'kg']);
  within('Rotors', rotors, [1, 16, 'rotors']);
  within('Rotor radius', rotorRadiusM, [0.005, 3, 'm']);
  within('Air density', densityKgM3, [0.3, 1.6, 'kg/m³']);
  const discArea = rotors * Math.PI * rotorRadiusM ** 2;
  return Math.sqrt((massKg * G_MPS2) / (2 * densityKgM3 * discArea));
}
