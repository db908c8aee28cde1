import { within } from './valid';

/** Height at which a hand-held meter is read, m. */
export const HAND_HEIGHT_M = 2;
/** Open grass, neutral air: the one-seventh power law of any wind engineering text. */
const EXPONENT = 1 / 7;

/**
 * Wind in m/s at a height, from what is measured in the hand: w × (h / 2 m)^(1/7), and never less than measured.
 * Check: 5 m/s in the hand is 6.9 m/s at 20 m and 8.7 m/s at 100 m.
 * @param windMps 0 to 100
 * @param heightM 0 to 1000
 */
export const windAloft = (windMps: number, heightM: number): number =>
  within('Wind', windMps, [0, 100, 'm/s']) *
  Math.max(1, within('Height', heightM, [0, 1000, 'm']) / HAND_HEIGHT_M) ** EXPONENT;
