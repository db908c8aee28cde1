import type { CraftFacts } from '../vocabulary/craft-facts';
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
  within('Tallest thing', tallestM, [0, 500, 'm']) + within('Margin', marginM, [0, 100, 'm']);

export const FAILSAFES = ['return', 'hover', 'descend'] as const;
export type Failsafe = (typeof FAILSAFES)[number];

/** What it should do by itself, and the reason for it. */
export interface FailsafeAdvice {
  readonly action: Failsafe;
  readonly why: FailsafeReason;
}
export type FailsafeReason = Place | 'no-hold' | 'no-hold-here' | 'through-roof' | 'above-limit';

const ACTION: Readonly<Record<Place, Failsafe>> = {
  open: 'return',
  water: 'return',
  trees: 'hover',
  'built-up': 'hover',
  'under-structure': 'hover',
  indoors: 'hover',
};

/**
 * What the craft should do by itself in this place when the link is lost. Common practice; the site's own
 * card comes first.
 */
export const failsafeFor = (place: Place): FailsafeAdvice => ({ action: ACTION[place], why: place });

/** What decides what a lost link does: where, and on which craft. */
export interface LostLink {
  readonly place: Place;
  readonly tallestM: number;
  /** Of a roof or a canopy above the flight, m; null: open sky, or not known. */
  readonly ceilingM: number | null;
  readonly heightLimitM: number;
  readonly craft: Pick<CraftFacts, 'hasPositionHold' | 'sensorSides'>;
}

export interface LostLinkAdvice extends FailsafeAdvice {
  /** Set for the return, m; null where it does not return. */
  readonly returnHeightM: number | null;
}

/** Places in which satellites do not hold a craft. */
const NO_SATELLITES: readonly Place[] = ['indoors', 'under-structure'];
export const isUnderRoof = (place: Place): boolean => NO_SATELLITES.includes(place);

/**
 * Whether the craft stands still by itself here: by satellites under open sky, by a sensor that looks down under
 * a roof.
 */
export const holdsHere = (craft: LostLink['craft'], place: Place): boolean =>
  craft.hasPositionHold && (!isUnderRoof(place) || craft.sensorSides.includes('below'));

/**
 * What this craft does by itself in this place when the link is lost: one that cannot hold its position neither
 * returns nor hovers, and none returns under a roof or above the height limit. Common practice; the site's own card
 * comes first.
 */
export function lostLinkOn({ place, tallestM, ceilingM, heightLimitM, craft }: LostLink): LostLinkAdvice {
  if (!craft.hasPositionHold)
    return {
      action: 'descend',
      why: 'no-hold',
      returnHeightM: null,
    };
  if (!holdsHere(craft, place))
    return {
      action: 'descend',
      why: 'no-hold-here',
      returnHeightM: null,
    };
  const advice = failsafeFor(place);
  if (advice.action !== 'return') return { ...advice, returnHeightM: null };
  const wantedM = returnHeight(tallestM);
  if (ceilingM !== null && wantedM >= ceilingM)
    return {
      action: 'hover',
      why: 'through-roof',
      returnHeightM: null,
    };
  if (wantedM > heightLimitM)
    return {
      action: 'hover',
      why: 'above-limit',
      returnHeightM: null,
    };
  return { ...advice, returnHeightM: wantedM };
}
