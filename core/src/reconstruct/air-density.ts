import {
  EARTH_RADIUS_M,
  LAPSE_K_PER_M,
  PRESSURE_EXPONENT,
  SEA_LEVEL_KELVIN,
  SEA_LEVEL_PASCAL,
  SPECIFIC_GAS_CONSTANT,
} from './standard-atmosphere';
import { within } from './valid';

/**
 * Density of the air in kg/m³ by the standard atmosphere, below 11 km.
 * Source: ICAO Doc 7488, ISO 2533.
 * @param altitudeM geometric height above sea level in m, −1000 to 11 000
 * @param warmerByK how much warmer the air is than standard, in K, −60 to 60; pressure stays standard
 * @throws RangeError outside these
 */
export function airDensity(altitudeM: number, warmerByK = 0): number {
  within('Altitude', altitudeM, [-1000, 11_000, 'm']);
  within('Difference from the standard temperature', warmerByK, [-60, 60, 'K']);
  const geopotentialM = (EARTH_RADIUS_M * altitudeM) / (EARTH_RADIUS_M + altitudeM);
  const standardK = SEA_LEVEL_KELVIN - LAPSE_K_PER_M * geopotentialM;
  const pressure = SEA_LEVEL_PASCAL * (standardK / SEA_LEVEL_KELVIN) ** PRESSURE_EXPONENT;
  return pressure / (SPECIFIC_GAS_CONSTANT * (standardK + warmerByK));
}
