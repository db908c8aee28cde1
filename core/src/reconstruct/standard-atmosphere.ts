import { G_MPS2 } from './constants';

/** The standard atmosphere below 11 km (ICAO Doc 7488, ISO 2533): at sea level, and how it changes. */
export const SEA_LEVEL_KELVIN = 288.15;
export const SEA_LEVEL_PASCAL = 101_325;
export const LAPSE_K_PER_M = 0.0065;
export const EARTH_RADIUS_M = 6_356_766;
const MOLAR_GAS_CONSTANT = 8_314.32;
const MOLAR_MASS = 28.9644;
export const SPECIFIC_GAS_CONSTANT = MOLAR_GAS_CONSTANT / MOLAR_MASS;
export const PRESSURE_EXPONENT = G_MPS2 / (SPECIFIC_GAS_CONSTANT * LAPSE_K_PER_M);
