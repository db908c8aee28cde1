import { within } from './valid';

/** Gains with which position hold brakes, 1/s and 1/s². Ours, as the flight model has them. */
export const VELOCITY_GAIN = 1.6;
export const VELOCITY_GATHERS = 0.5;
/** Below this the place is held, m/s; and by what speed it is gone back to, 1/s. */
export const LATCH_BELOW_MPS = 0.6;
export const POSITION_GAIN = 0.5;
/** It counts as standing below this, m/s. */
const STANDS_MPS = 0.05;
const STEP_S = 0.005;
const LONGEST_S = 40;

export interface HoldFrom {
  /** Speed when the sticks are let go, m/s, 0 to 100; flown steadily until then. */
  readonly speedMps: number;
  /** By which the lean lags what is asked, s, 0.005 or more. */
  readonly lagS: number;
  /** What the full lean of the setting gives, m/s². */
  readonly mostMps2: number;
  /** How fast the push of the lean changes, m/s³. */
  readonly riseMps3: number;
  /** Time constant of drag, s. */
  readonly dragTimeS: number;
}

/**
 * Distance in m in which position hold stops a craft whose sticks were let go: it asks for a lean in proportion to
 * the speed that is left, so that it brakes ever more gently. Longer than the full brake by a third to a half.
 */
export function brakedByHold({ speedMps, lagS, mostMps2, riseMps3, dragTimeS }: HoldFrom): number {
  within('Speed', speedMps, [0, 100, 'm/s']);
  within('Drag time', dragTimeS, [0.05, Infinity, 's']);
  const within1 = (value: number) => Math.max(-mostMps2, Math.min(mostMps2, value));
  // Flown steadily, what was gathered holds the speed against drag.
  let [v, m, gathered] = [speedMps, 0, within1(speedMps / dragTimeS)];
  let held: number | null = null;
  let [asked, push] = [gathered, gathered];
  for (let t = 0; v > STANDS_MPS && t < LONGEST_S; t += STEP_S) {
    // Nearly stopped, it holds the place it has reached and comes back to it.
    if (v < LATCH_BELOW_MPS) held ??= m;
    const error = (held === null ? 0 : POSITION_GAIN * (held - m)) - v;
    const wanted = VELOCITY_GAIN * error + gathered;
    if (Math.abs(wanted) < mostMps2) gathered += VELOCITY_GATHERS * error * STEP_S;
    const step = riseMps3 * STEP_S;
    asked += Math.max(-step, Math.min(step, within1(wanted) - asked));
    push += (asked - push) * Math.min(1, STEP_S / lagS);
    const next = v + (push - v / dragTimeS) * STEP_S;
    m += (Math.max(0, v + next) / 2) * STEP_S;
    v = next;
  }
  return m;
}
