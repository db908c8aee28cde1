import { radians } from './constants';
import { within } from './valid';

export interface OnTrack {
  /** Speed over the ground along the track, m/s; 0 or less: it cannot make way. */
  readonly groundSpeedMps: number;
  /** How far the nose points off the track into the wind, °; positive to the right. */
  readonly crabDeg: number;
}

/**
 * Ground speed and crab along a track: √(V² − w_cross²) + w_along. NaN-free: when the cross wind is stronger
 * than the craft
 * the track cannot be held, and the answer is null.
 * Source: the wind triangle of any navigation text.
 * @param airSpeedMps 0.1 to 100
 * @param windMps 0 to 100
 * @param windFromDeg where the wind comes from, clockwise from the track: 0 head, 90 from the right, 180 tail
 */
export function alongTrack(airSpeedMps: number, windMps: number, windFromDeg: number): OnTrack | null {
  within('Air speed', airSpeedMps, [0.1, 100, 'm/s']);
  within('Wind', windMps, [0, 100, 'm/s']);
  within('Wind direction', windFromDeg, [-360, 360, '°']);
  const cross = windMps * Math.sin(radians(windFromDeg));
  if (Math.abs(cross) >= airSpeedMps) return null;
  const along = -windMps * Math.cos(radians(windFromDeg));
  return {
    groundSpeedMps: Math.sqrt(airSpeedMps ** 2 - cross ** 2) + along,
    crabDeg: (Math.asin(cross / airSpeedMps) * 180) / Math.PI,
  };
}
