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
  /** Downward speed at the ground, m/s. */
  readonly speedMps: number;
  /** ½ m v² of that speed, J. Not the energy a standard counts as passed on to a head. */
  readonly energyJ: number;
  /** How far ahead it lands, m: level speed kept, so an upper bound. */
  readonly aheadM: number;
}

/**
 * What a craft does with its motors cut: v² = v_t² (1 − e^(−2gh / v_t²)) with drag growing as the square of
 * speed, √(2gh) without.
 * Check: 10 m gives 14 m/s. Source: any mechanics text.
 * @throws RangeError when an input lies outside the ranges above
 */
export function falling({ massKg, heightM, speedMps, terminalMps = Infinity }: FallFrom): Fall {
  within('Mass', massKg, 0.01, 200, 'kg');
  within('Height', heightM, 0, 500, 'm');
  within('Speed', speedMps, 0, 100, 'm/s');
  within('Terminal speed', terminalMps, 1, Infinity, 'm/s');
  const share = terminalMps === Infinity ? 0 : (G_MPS2 * heightM) / terminalMps ** 2;
  const down =
    share < 1e-9 ? Math.sqrt(2 * G_MPS2 * heightM) : terminalMps * Math.sqrt(-Math.expm1(-2 * share));
  const seconds =
    share < 1e-9 ? Math.sqrt((2 * heightM) / G_MPS2) : (terminalMps / G_MPS2) * Math.acosh(Math.exp(share));
  return { seconds, speedMps: down, energyJ: 0.5 * massKg * down ** 2, aheadM: speedMps * seconds };
}

/**
 * Falling speed in m/s at which drag balances weight: √(2mg / ρ C A), with the craft taken as a flat body a
 * third of its span squared, C = 1.
 * A rough figure: the share and C are common practice.
 */
export const terminalSpeed = (massKg: number, spanM: number, densityKgM3: number): number =>
  Math.sqrt(
    (2 * within('Mass', massKg, 0.01, 200, 'kg') * G_MPS2) /
      (within('Air density', densityKgM3, 0.3, 1.6, 'kg/m³') *
        (within('Span', spanM, 0.02, 10, 'm') ** 2 / 3)),
  );
