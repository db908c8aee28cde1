import { LAPSE_K_PER_M, PRESSURE_EXPONENT, SEA_LEVEL_KELVIN, SEA_LEVEL_PASCAL } from './standard-atmosphere';

/**
 * Geopotential height in m at which the standard atmosphere has this pressure, below 11 km; NaN for what is no pressure.
 * Source: ICAO Doc 7488, ISO 2533.
 * @param pascals static pressure, Pa
 */
export const pressureAltitude = (pascals: number): number =>
  (SEA_LEVEL_KELVIN / LAPSE_K_PER_M) * (1 - (pascals / SEA_LEVEL_PASCAL) ** (1 / PRESSURE_EXPONENT));
