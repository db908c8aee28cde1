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
      why: 'This craft cannot hold its position: it comes down wherever it is. Keep people and water from under it.',
      returnHeightM: null,
    };
  if (!holdsHere(craft, place))
    return {
      action: 'descend',
      why: 'Nothing holds it here: no satellites, and no sensor that looks down.',
      returnHeightM: null,
    };
  const advice = failsafeFor(place);
  if (advice.action !== 'return') return { ...advice, returnHeightM: null };
  const wantedM = returnHeight(tallestM);
  if (ceilingM !== null && wantedM >= ceilingM)
    return {
      action: 'hover',
      why: 'A return height over the tallest thing is through the roof.',
      returnHeightM: null,
    };
  if (wantedM > heightLimitM)
    return {
      action: 'hover',
      why: 'A return height over the tallest thing is above the height limit.',
      returnHeightM: null,
    };
  return { ...advice, returnHeightM: wantedM };
}
