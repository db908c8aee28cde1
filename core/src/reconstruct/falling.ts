import { G_MPS2 } from './constants';
import { within } from './valid';

export interface FallFrom {
  readonly massKg: number;
  /** Height of the fall, m, 0 to 500. */
  readonly heightM: number;
  /** Speed over the ground when the motors stop, m/s, 0 to 100. */
  readonly speedMps: number;
  /** Falling speed at which drag balances weight, m/s; Infinity for no drag. */
  readonly terminalMps?: number;
}

export interface Fall {
  readonly seconds: number;
  /** Speed at the ground along the path, m/s: what level speed is left counts. */
  readonly speedMps: number;
  /** ½ m v² of that speed, J. Not the energy a standard counts as passed on to a head. */
  readonly energyJ: number;
  /** How far ahead it lands, m, in still air. */
  readonly aheadM: number;
}

const STEP_S = 0.005;
const LONGEST_S = 120;

/**
 * What a craft does with its motors cut: gravity, and drag against the path that grows as the square of speed,
 * stepped through by the midpoint rule.
 * Check: 10 m gives 14.0 m/s at rest and 20.5 m/s from 15 m/s level, without drag.
 * Source: any mechanics text.
 * @throws RangeError when an input lies outside the ranges above
 */
export function falling({ massKg, heightM, speedMps, terminalMps = Infinity }: FallFrom): Fall {
  within('Mass', massKg, [0.01, 200, 'kg']);
  within('Height', heightM, [0, 500, 'm']);
  within('Speed', speedMps, [0, 100, 'm/s']);
  within('Terminal speed', terminalMps, [1, Infinity, 'm/s']);
  const drag = G_MPS2 / terminalMps ** 2;
  const slow = (along: number, down: number) => drag * Math.hypot(along, down);
  let [along, down, fallen, ahead, t] = [speedMps, 0, 0, 0, 0];
  while (fallen < heightM && t < LONGEST_S) {
    const [a, d] = [
      along - (slow(along, down) * along * STEP_S) / 2,
      down + ((G_MPS2 - slow(along, down) * down) * STEP_S) / 2,
    ];
    const [nextAlong, nextDown] = [
      along - slow(a, d) * a * STEP_S,
      down + (G_MPS2 - slow(a, d) * d) * STEP_S,
    ];
    const share = Math.min(1, (heightM - fallen) / (d * STEP_S));
    fallen += d * STEP_S;
    ahead += a * STEP_S * share;
    t += STEP_S * share;
    along += (nextAlong - along) * share;
    down += (nextDown - down) * share;
  }
  const speed = Math.hypot(along, down);
  return { seconds: t, speedMps: speed, energyJ: 0.5 * massKg * speed ** 2, aheadM: ahead };
}

/**
 * Falling speed in m/s at which drag balances weight: √(2mg / ρ C A), with the craft taken as a flat body a
 * third of its span squared, C = 1.
 * A rough figure: the share and C are common practice.
 */
export const terminalSpeed = (massKg: number, spanM: number, densityKgM3: number): number =>
  Math.sqrt(
    (2 * within('Mass', massKg, [0.01, 200, 'kg']) * G_MPS2) /
      (within('Air density', densityKgM3, [0.3, 1.6, 'kg/m³']) *
        (within('Span', spanM, [0.02, 10, 'm']) ** 2 / 3)),
  );
