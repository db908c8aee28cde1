import { within } from './valid';
import { alongTrack } from './wind-triangle';

/** Left in the pack on landing, %. Common practice. */
export const RESERVE_PCT = 25;

export interface HomeLeg {
  /** Air speed flown, m/s, 0.1 to 100. */
  readonly airSpeedMps: number;
  readonly windMps: number;
  /** Where the wind comes from, clockwise from the way out: 0 head wind out, 180 tail wind out. */
  readonly windFromOutDeg: number;
  /** Minutes a full pack lasts at this air speed, 0.5 to 240. */
  readonly enduranceMin: number;
}

const SECONDS = 60;

/**
 * Charge in per cent that the way home takes; null when the craft makes no way against the wind.
 * The draw is taken as steady at this air speed, so that charge is time.
 * @param distanceM 0 to 100 000
 * @throws RangeError outside the ranges above
 */
export function chargeHome(distanceM: number, leg: HomeLeg): number | null {
  within('Distance', distanceM, [0, 100_000, 'm']);
  within('Endurance', leg.enduranceMin, [0.5, 240, 'min']);
  const home = alongTrack(leg.airSpeedMps, leg.windMps, turned(leg.windFromOutDeg));
  if (!home || home.groundSpeedMps <= 0) return null;
  return (100 * distanceM) / home.groundSpeedMps / (leg.enduranceMin * SECONDS);
}

/** The same wind as seen on the way back. */
const turned = (fromDeg: number): number => (fromDeg >= 180 ? fromDeg - 180 : fromDeg + 180);

/**
 * The farthest point in m from which the charge still brings the craft home with the reserve: out and back at
 * d / v_out + d / v_home
 * within what the charge allows; 0 when either leg makes no way.
 * Source: point of no return, any navigation text.
 * @param chargePct at take-off, 0 to 100
 * @param reservePct to be left on landing, 0 to 100
 */
export function turnBackDistance(chargePct: number, reservePct: number, leg: HomeLeg): number {
  within('Charge', chargePct, [0, 100, '%']);
  within('Reserve', reservePct, [0, 100, '%']);
  within('Endurance', leg.enduranceMin, [0.5, 240, 'min']);
  const out = alongTrack(leg.airSpeedMps, leg.windMps, leg.windFromOutDeg);
  const home = alongTrack(leg.airSpeedMps, leg.windMps, turned(leg.windFromOutDeg));
  if (!out || !home || out.groundSpeedMps <= 0 || home.groundSpeedMps <= 0) return 0;
  const seconds = (Math.max(0, chargePct - reservePct) / 100) * leg.enduranceMin * SECONDS;
  return seconds / (1 / out.groundSpeedMps + 1 / home.groundSpeedMps);
}
