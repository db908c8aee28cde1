import { within } from './valid';

/** Open country (engineering power law); 0.2 by IEC 61400-1. */
export const OPEN_COUNTRY_EXPONENT = 1 / 7;

/**
 * Wind in m/s at a height, from wind measured at another: u (z / z_r)^α. Source: engineering power law.
 * @param windMps at the measured height, 0 to 100
 * @param measuredAtM 0.5 to 500
 * @param heightM 0.5 to 500
 * @param exponent 0 to 0.6
 */
export const windAtHeight = (
  windMps: number,
  measuredAtM: number,
  heightM: number,
  exponent = OPEN_COUNTRY_EXPONENT,
): number =>
  within('Wind', windMps, [0, 100, 'm/s']) *
  (within('Height', heightM, [0.5, 500, 'm']) /
    within('Height of measurement', measuredAtM, [0.5, 500, 'm'])) **
    within('Exponent', exponent, [0, 0.6, '']);

const BEAUFORT_FROM_MPS = [0, 0.3, 1.6, 3.4, 5.5, 8.0, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];
export const BEAUFORT_NAMES = [
  'calm',
  'light air',
  'light breeze',
  'gentle breeze',
  'moderate breeze',
  'fresh breeze',
  'strong breeze',
  'near gale',
  'gale',
  'strong gale',
  'storm',
  'violent storm',
  'hurricane',
] as const;

/**
 * Beaufort force, 0 to 12. Source: WMO scale of wind force (table in m/s, to 0.1).
 * @param windMps 0 or more
 */
export function beaufort(windMps: number): number {
  const tenths = Math.round(within('Wind', windMps, [0, 200, 'm/s']) * 10) / 10;
  return BEAUFORT_FROM_MPS.filter((from) => tenths >= from).length - 1;
}
