/** Wind bands in which a standard is shown. Common practice, not a published scale. */
export const WIND_BANDS = ['calm', 'light', 'breezy'] as const;
export type WindBand = (typeof WIND_BANDS)[number];

/** Lower edges in m/s: calm under 2, light from 2 to 5, breezy from 5 up to the pilot's own limit. */
export const LIGHT_FROM_MPS = 2;
export const BREEZY_FROM_MPS = 5;

/** A beginner's usual wind limit in m/s (15 mph). Common practice; local rules come first. */
export const BEGINNER_WIND_LIMIT_MPS = 6.7;

/**
 * @param windMps mean wind in m/s, 0 or more
 * @throws RangeError when the wind is negative or not a number
 */
export function windBandOf(windMps: number): WindBand {
  if (!(windMps >= 0)) throw new RangeError(`Wind must be 0 m/s or more, not ${windMps}.`);
  if (windMps < LIGHT_FROM_MPS) return 'calm';
  return windMps < BREEZY_FROM_MPS ? 'light' : 'breezy';
}

/** Every band a pilot with this wind limit (m/s) will meet. */
export function bandsUpTo(windLimitMps: number): readonly WindBand[] {
  if (windLimitMps > BREEZY_FROM_MPS) return ['calm', 'light', 'breezy'];
  return windLimitMps > LIGHT_FROM_MPS ? ['calm', 'light'] : ['calm'];
}
