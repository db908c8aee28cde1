import type { WindSide } from '@skelby/core/drill-cases/on-the-ground';
import type { Failsafe, FailsafeReason } from '@skelby/core/reconstruct/return-height';
import type { Place } from '@skelby/core/vocabulary/flying';

/** Where something is or is not flown, within a sentence. */
export const PLACE_NAMES: Readonly<Record<Place, string>> = {
  open: 'in the open',
  trees: 'among trees',
  indoors: 'indoors',
  'under-structure': 'under structures',
  'built-up': 'near walls',
  water: 'over water',
};

/** What the craft does by itself when the link is lost, as a card says it. */
export const FAILSAFE_WORDS: Readonly<Record<Failsafe, string>> = {
  return: 'return',
  hover: 'hover where it is',
  descend: 'come down where it is',
};

export const FAILSAFE_REASONS: Readonly<Record<FailsafeReason, string>> = {
  open: 'Open sky above: a return that climbs first meets nothing.',
  water: 'Anything but the way home ends in the water.',
  trees: 'Branches above: a return that climbs first would climb into them.',
  'built-up': 'Tall walls near: a return may climb or run into one, and position is poor beside them.',
  'under-structure': 'A roof above: a return that climbs first would climb into it.',
  indoors: 'A ceiling above and no satellites: it cannot find the way home.',
  'no-hold':
    'This craft cannot hold its position: it comes down wherever it is. Keep people and water from under it.',
  'no-hold-here': 'Nothing holds it here: no satellites, and no sensor that looks down.',
  'through-roof': 'A return height over the tallest thing is through the roof.',
  'above-limit': 'A return height over the tallest thing is above the height limit.',
};

export const WIND_SIDES: Readonly<Record<WindSide, string>> = {
  ahead: 'ahead',
  behind: 'behind you',
  left: 'the left',
  right: 'the right',
};

/** Where the nose points for a landing into the wind. */
export const FACING: Readonly<Record<WindSide, string>> = {
  ahead: 'away from you',
  behind: 'toward you, or lands with the tail to you and says so',
  left: 'to the left',
  right: 'to the right',
};
