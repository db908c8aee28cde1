import { G_MPS2, radians } from './constants';
import { within } from './valid';

export interface StoppingFrom {
  /** Speed over the ground when the obstacle was seen, m/s, 0 to 100; still air. */
  readonly speedMps: number;
  /** From seeing to moving the stick, s, 0 to 10. */
  readonly reactionS: number;
  /** Forward lean at that moment, °, 0 to 85. */
  readonly leanFromDeg: number;
  /** Backward lean of the full brake, °, 1 to 85. */
  readonly leanToDeg: number;
  /** How fast the craft rotates, °/s, 5 to 2000; Infinity for at once. */
  readonly leanRateDps: number;
  /** Time constant of drag, s (see `dragTime`); Infinity for none. */
  readonly dragTimeS?: number;
}

export interface Stopping {
  readonly reactionM: number;
  readonly leaningM: number;
  readonly brakingM: number;
  readonly totalM: number;
}

/** Below this the closed form with drag loses more digits than its series. */
const NEARLY_NO_DRAG = 1e-3;

/** Distance from `speed` to rest against a constant push plus drag: ∫ v dv / (a + v/τ). */
function brakingDistance(speed: number, push: number, dragTimeS: number): number {
  const share = speed / (push * dragTimeS);
  if (share < NEARLY_NO_DRAG) return (speed ** 2 / (2 * push)) * (1 - (2 / 3) * share);
  return dragTimeS * speed - push * dragTimeS ** 2 * Math.log1p(share);
}

/**
 * Distance in m from seeing an obstacle to standing still: V t_r + V (θ₀ + θ_max) / (2 × lean rate) + braking
 * at
 * θ_max, which is V² / (2 g tan θ_max) without drag and less with it.
 * Check: 20 m/s, 35°, 0.75 s and no time to lean: 15 m + 29.1 m.
 * Sources: constant deceleration, any mechanics text; perception-reaction times, AASHTO Green Book.
 * @throws RangeError when an input lies outside the ranges above
 */
export function stoppingDistance({
  speedMps,
  reactionS,
  leanFromDeg,
  leanToDeg,
  leanRateDps,
  dragTimeS = Infinity,
}: StoppingFrom): Stopping {
  within('Speed', speedMps, 0, 100, 'm/s');
  within('Reaction time', reactionS, 0, 10, 's');
  within('Lean at the start', leanFromDeg, 0, 85, '°');
  within('Braking lean', leanToDeg, 1, 85, '°');
  within('Lean rate', leanRateDps, 5, Infinity, '°/s');
  within('Drag time', dragTimeS, 0.05, Infinity, 's');
  const reactionM = speedMps * reactionS;
  const leaningM = (speedMps * (leanFromDeg + leanToDeg)) / (2 * leanRateDps);
  const brakingM = brakingDistance(speedMps, G_MPS2 * Math.tan(radians(leanToDeg)), dragTimeS);
  return { reactionM, leaningM, brakingM, totalM: reactionM + leaningM + brakingM };
}

/**
 * The fastest speed in m/s from which the craft stops within a distance, by halving to a millimetre per
 * second.
 * @param distanceM 0 or more
 */
export function fastestThatStops(distanceM: number, from: Omit<StoppingFrom, 'speedMps'>): number {
  within('Distance', distanceM, 0, 1e6, 'm');
  let [low, high] = [0, 100];
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (stoppingDistance({ ...from, speedMps: middle }).totalM <= distanceM) low = middle;
    else high = middle;
  }
  return low;
}
