import { G_MPS2, radians } from './constants';
import { within } from './valid';

export interface TurnFrom {
  /** Speed through the air before the turn, m/s, 0 to 60. */
  readonly speedMps: number;
  /** Sink rate in the turn, m/s, 0 to 30. */
  readonly descentMps: number;
  /** How far the nose is swung, °, 0 to 360. */
  readonly yawDeg: number;
  /** How long the swing takes, s, 0.1 to 20. */
  readonly yawS: number;
  /** Lean held toward the nose, °, 0 to 80. */
  readonly leanDeg: number;
  /** Full thrust over weight, 1 to 20. */
  readonly thrustToWeight: number;
  readonly inducedMps: number;
  readonly dragTimeS: number;
}

export interface TurnMoment {
  readonly s: number;
  /** East of the start of the turn, along the first path, m. */
  readonly alongM: number;
  readonly acrossM: number;
  readonly noseDeg: number;
  readonly pathDeg: number;
  readonly washIndex: number;
}

export interface Turn {
  readonly moments: readonly TurnMoment[];
  readonly worst: TurnMoment;
  /** Share of full thrust that holding height in this lean leaves unused, 0 to 1. */
  readonly powerInHand: number;
}

/** Drills keep below this. Common practice, set on the flight model. */
export const WASH_INDEX_LIMIT = 0.3;

const STEP_S = 0.02;
const AFTER_S = 1;
const FADE_WIDTH = 0.15;

/**
 * Share of the craft's air speed that comes at it from where its own wash went: clamp(−v·n / v_h, 0, 1),
 * faded out as
 * the speed across the disc passes v_h, and less with power in hand. 0 in clean air, 1 fully back in the
 * wash.
 * @param throughDiscMps −v·n, speed of the air from below the disc, m/s
 * @param acrossDiscMps speed across the disc, m/s
 * @param powerInHand 0 to 1
 */
export function washIndex(
  throughDiscMps: number,
  acrossDiscMps: number,
  inducedMps: number,
  powerInHand: number,
): number {
  const back = Math.min(1, Math.max(0, throughDiscMps / inducedMps));
  const fade = 1 / (1 + Math.exp((acrossDiscMps / inducedMps - 1) / FADE_WIDTH));
  return back * fade * (1 - powerInHand);
}

/**
 * Follows a turn in which the nose is swung at a steady rate and the lean follows the nose: the path bends
 * only as
 * fast as the lean can push it, and where the nose has outrun it the air comes from below and behind.
 * Point mass, linear drag, still air, level thrust balance; steps of 0.02 s.
 * Source: definition of the index is ours, from momentum theory; path by Newton's second law.
 * @throws RangeError when an input lies outside the ranges above
 */
export function turnFold(from: TurnFrom): Turn {
  within('Speed', from.speedMps, [0, 60, 'm/s']);
  within('Descent', from.descentMps, [0, 30, 'm/s']);
  within('Nose swing', from.yawDeg, [0, 360, '°']);
  within('Time of the swing', from.yawS, [0.1, 20, 's']);
  within('Lean', from.leanDeg, [0, 80, '°']);
  within('Thrust to weight', from.thrustToWeight, [1, 20, '']);
  within('Hover induced velocity', from.inducedMps, [0.5, 40, 'm/s']);
  within('Drag time', from.dragTimeS, [0.05, Infinity, 's']);
  const lean = radians(from.leanDeg);
  const push = G_MPS2 * Math.tan(lean);
  const powerInHand = Math.max(0, 1 - 1 / (Math.cos(lean) * from.thrustToWeight));
  const moments: TurnMoment[] = [];
  let [x, y, vx, vy] = [0, 0, from.speedMps, 0];
  const steps = Math.round((from.yawS + AFTER_S) / STEP_S);
  for (let i = 0; i <= steps; i += 1) {
    const s = i * STEP_S;
    const nose = radians(from.yawDeg) * Math.min(1, s / from.yawS);
    const [nx, ny, nz] = [Math.sin(lean) * Math.cos(nose), Math.sin(lean) * Math.sin(nose), Math.cos(lean)];
    const alongThrust = vx * nx + vy * ny - from.descentMps * nz;
    const across = Math.hypot(
      vx - alongThrust * nx,
      vy - alongThrust * ny,
      -from.descentMps - alongThrust * nz,
    );
    moments.push({
      s,
      alongM: x,
      acrossM: y,
      noseDeg: (nose * 180) / Math.PI,
      pathDeg: (Math.atan2(vy, vx) * 180) / Math.PI,
      washIndex: washIndex(-alongThrust, across, from.inducedMps, powerInHand),
    });
    vx += (push * Math.cos(nose) - vx / from.dragTimeS) * STEP_S;
    vy += (push * Math.sin(nose) - vy / from.dragTimeS) * STEP_S;
    x += vx * STEP_S;
    y += vy * STEP_S;
  }
  const worst = moments.reduce((most, each) => (each.washIndex > most.washIndex ? each : most));
  return { moments, worst, powerInHand };
}
