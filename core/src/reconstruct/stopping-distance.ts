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
  /** From moving the stick until the lean begins to follow, s; 0 to 2. */
  readonly lagS?: number;
  /** How fast the craft rotates near level, °/s, 5 to 2000; Infinity for at once. */
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
/** Steps in which the leaning is gone through. */
const STEPS = 200;

/** Distance from `speed` to rest against a constant push plus drag: ∫ v dv / (a + v/τ). */
function brakingDistance(speed: number, push: number, dragTimeS: number): number {
  const share = speed / (push * dragTimeS);
  if (share < NEARLY_NO_DRAG) return (speed ** 2 / (2 * push)) * (1 - (2 / 3) * share);
  return dragTimeS * speed - push * dragTimeS ** 2 * Math.log1p(share);
}

/** From the lean flown to the full brake: distance, and the speed that is left. */
function leaning(speed: number, from: StoppingFrom): { readonly m: number; readonly leftMps: number } {
  const { leanFromDeg, leanToDeg, leanRateDps, dragTimeS = Infinity } = from;
  const [pull, push] = [G_MPS2 * Math.tan(radians(leanFromDeg)), G_MPS2 * Math.tan(radians(leanToDeg))];
  // The push grows at g × lean rate: as fast as the craft rotates near level, and slower in a steep lean.
  const seconds = (pull + push) / (G_MPS2 * radians(leanRateDps));
  const dt = seconds / STEPS;
  let [v, m] = [speed, 0];
  for (let i = 0; i < STEPS && dt > 0 && v > 0; i += 1) {
    const along = pull - ((pull + push) * (i + 0.5)) / STEPS;
    const half = v + ((along - v / dragTimeS) * dt) / 2;
    m += Math.max(0, half) * dt;
    v += (along - half / dragTimeS) * dt;
  }
  return { m, leftMps: Math.max(0, v) };
}

/**
 * Distance in m from seeing an obstacle to standing still: V t_r, then the time the lean takes to turn round, then
 * braking at θ_max, which is V² / (2 g tan θ_max) without drag and less with it.
 * Check: 20 m/s, 35°, 0.75 s and no time to lean: 15 m + 29.1 m.
 * Sources: constant deceleration, any mechanics text; perception-reaction times, AASHTO Green Book.
 * @throws RangeError when an input lies outside the ranges above
 */
export function stoppingDistance(from: StoppingFrom): Stopping {
  const { speedMps, reactionS, lagS = 0, leanFromDeg, leanToDeg, leanRateDps, dragTimeS = Infinity } = from;
  within('Speed', speedMps, [0, 100, 'm/s']);
  within('Reaction time', reactionS, [0, 10, 's']);
  within('Lag of the controls', lagS, [0, 2, 's']);
  within('Lean at the start', leanFromDeg, [0, 85, '°']);
  within('Braking lean', leanToDeg, [1, 85, '°']);
  within('Lean rate', leanRateDps, [5, Infinity, '°/s']);
  within('Drag time', dragTimeS, [0.05, Infinity, 's']);
  const reactionM = speedMps * reactionS;
  const round = leaning(speedMps, from);
  const leaningM = speedMps * lagS + round.m;
  const brakingM = brakingDistance(round.leftMps, G_MPS2 * Math.tan(radians(leanToDeg)), dragTimeS);
  return { reactionM, leaningM, brakingM, totalM: reactionM + leaningM + brakingM };
}

/**
 * The fastest speed in m/s from which the craft stops within a distance, by halving to a millimetre per
 * second.
 * @param distanceM 0 or more
 * @param from what stopping starts from at a speed: the lean it is flown with goes with it
 */
export function fastestThatStops(distanceM: number, from: (speedMps: number) => StoppingFrom): number {
  within('Distance', distanceM, [0, 1e6, 'm']);
  let [low, high] = [0, 100];
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (stoppingDistance(from(middle)).totalM <= distanceM) low = middle;
    else high = middle;
  }
  return low;
}
