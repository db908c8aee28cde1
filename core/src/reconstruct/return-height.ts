import type { Place } from '../vocabulary/flying';
import { within } from './valid';

/** Usual room above the tallest thing on the way, m. Common practice. */
export const RETURN_MARGIN_M = 10;

/**
 * What an automatic return should be set to: tallest thing on the way plus a margin. Common practice.
 * @param tallestM 0 to 500
 * @param marginM 0 to 100
 */
export const returnHeight = (tallestM: number, marginM = RETURN_MARGIN_M): number =>
  within('Tallest thing', tallestM, 0, 500, 'm') + within('Margin', marginM, 0, 100, 'm');

export const FAILSAFES = ['return', 'hover', 'descend'] as const;
export type Failsafe = (typeof FAILSAFES)[number];

/** What the craft does by itself, as a card says it. */
export const FAILSAFE_WORDS: Readonly<Record<Failsafe, string>> = {
  return: 'return',
  hover: 'hover where it is',
  descend: 'come down where it is',
};

export interface FailsafeAdvice {
  readonly action: Failsafe;
  readonly why: string;
}

const ADVICE: Readonly<Record<Place, FailsafeAdvice>> = {
  open: { action: 'return', why: 'Open sky above: a return that climbs first meets nothing.' },
  water: { action: 'return', why: 'Anything but the way home ends in the water.' },
  trees: { action: 'hover', why: 'Branches above: a return that climbs first would climb into them.' },
  'built-up': {
    action: 'hover',
    why: 'Tall walls near: a return may climb or run into one, and position is poor beside them.',
  },
  'under-structure': {
    action: 'hover',
    why: 'A roof above: a return that climbs first would climb into it.',
  },
  indoors: { action: 'hover', why: 'A ceiling above and no satellites: it cannot find the way home.' },
};

/**
 * What the craft should do by itself in this place when the link is lost. Common practice; the site's own
 * card comes first.
 */
export const failsafeFor = (place: Place): FailsafeAdvice => ADVICE[place];
