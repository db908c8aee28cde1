import { sentence } from '../vocabulary/said';
import { type Deck, type DrillCase, pairs } from './case';

/** Cases that are the same for every craft. */
const deckOf = (cases: readonly DrillCase[]): Deck =>
  cases.map(({ id, ...rest }) => ({ id, of: () => rest }));

/** Faults that a trainer plants with the packs out and away from the craft. Common practice in inspections. */
const PLANTED = [
  'rotor-loose',
  'rotor-chipped',
  'rotor-swapped',
  'rotor-grass',
  'cover-on',
  'clamp-on',
  'leg-folded',
  'latch-open',
  'pack-low',
  'pack-warm',
  'card-out',
  'nose-mark',
  'switch-off',
  'setting-fast',
  'home-old',
  'home-tree',
  'metal',
  'calibration',
  'limit-off',
  'return-low',
  'antenna',
  'people',
  'wires',
  'exposure',
] as const;
export type PlantedId = (typeof PLANTED)[number];

export const PLANTED_DECK: Deck = deckOf(
  PLANTED.map((id) => ({
    id,
    says: sentence('case.planted-says', { id }),
    answer: sentence('case.planted', { id }),
  })),
);

const SIDES = ['ahead', 'behind', 'left', 'right'] as const;
export type WindSide = (typeof SIDES)[number];
const BY_THE_SPOT = ['grass', 'person', 'bag', 'slope', 'sheet', 'dog'] as const;
export type SpotId = (typeof BY_THE_SPOT)[number];

/** The order is always the same; what it meets is not. Common practice. */
export const LANDING_DECK: Deck = deckOf(
  pairs(SIDES, BY_THE_SPOT).map(([side, spot], i) => {
    const [setting, legs] = [i % 2 === 0 ? 'fast' : 'normal', i % 3 === 0 ? 'up' : 'down'] as const;
    return {
      id: `${spot}-${SIDES.indexOf(side) + 1}`,
      says: sentence('case.landing-says', { side, spot, setting, legs }),
      answer: sentence(`case.landing-legs-${legs}`, { side, spot }),
    };
  }),
);

const NEAR = ['car', 'cover', 'rail', 'concrete', 'speaker', 'line'] as const;
export type NearId = (typeof NEAR)[number];
const QUARTERS = ['north', 'east', 'south', 'west'] as const;

/** Common practice; the makers' papers say how the turns are done. */
export const CALIBRATION_DECK: Deck = deckOf(
  pairs(NEAR, QUARTERS).map(([near, quarter], i) => ({
    id: `${near}-${quarter}`,
    says: sentence('case.calibration-says', { near, steps: 5 + (i % 4), quarter }),
    answer: sentence('case.calibration', { near, away: QUARTERS[(QUARTERS.indexOf(quarter) + 2) % 4]! }),
  })),
);

const SETTINGS = ['slow', 'normal', 'fast'] as const;

/** What the display shows is right; where a switch stands is not. */
export const READ_BACK_DECK: Deck = deckOf(
  pairs(
    pairs(SETTINGS, ['on', 'off'] as const),
    pairs(['set', 'not set'] as const, ['left', 'knocked'] as const),
  ).map(([[setting, sensors], [home, lever]]) => ({
    id: `${setting}-${sensors}-${home.replace(' ', '-')}-${lever}`,
    says: sentence(`case.read-back-${lever}-says`, { setting, sensors, home }),
    answer: sentence(`case.read-back-${lever}`, { setting, sensors, home }),
  })),
);

/** Orders of three settings, all but the same three times over. */
export const SETTING_ORDER_DECK: Deck = deckOf(
  pairs(SETTINGS, pairs(SETTINGS, SETTINGS))
    .map(([first, [second, third]]) => [first, second, third] as const)
    .filter(([first, second, third]) => new Set([first, second, third]).size > 1)
    .map((order) => ({
      id: order.join('-'),
      says: sentence('case.order-says', { order }),
      answer: sentence('case.order', { order }),
    })),
);
