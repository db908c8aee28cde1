import { holdsHere, isUnderRoof } from '../reconstruct/return-height';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Place } from '../vocabulary/flying';
import type { FlightCard, FlightCheck, FlightToBe } from './flight-to-be';
import { judgeFlight } from './judge';

/** What decides what is looked at before the first pack of a day. */
export interface BeforeFirstPack {
  readonly craft: Pick<CraftFacts, 'hasPositionHold' | 'sensorSides' | 'sensorsInFast'>;
  readonly place: Place;
}

type Item = readonly [id: string, words: string, remedy: string];

/** On every craft, in every place. Common practice in inspections; the maker's papers come first. */
const OF_CRAFT: readonly Item[] = [
  ['rotors', 'Rotors whole, tight, the right way round, nothing wound round a shaft', 'Change the rotor'],
  ['pack', 'Pack charged, cool, not swollen, latched', 'Take another pack'],
  ['loose', 'Cover and clamp off, legs and arms locked, card in', 'Put it right now'],
  ['nose', 'Nose mark seen from where the pilot stands', 'Put the mark on'],
  ['mode', 'Mode, setting and sensors read back from the display', 'Switch out and back, then read again'],
  ['limit', 'Height limit set in the craft', 'Set it'],
];

/** Once for everybody who flies there. */
const OF_PLACE: readonly Item[] = [
  ['allowed', 'Airspace free and the owner of the ground asked', 'Ask first: local rules decide'],
  ['behind', 'One last look behind and above', 'Look'],
];
const OF_ROOF: readonly Item[] = [
  ['openings', 'Doors, windows and fans shut; nothing blows', 'Shut them, or wait'],
];

const FIX: readonly Item[] = [
  ['fix', 'Fix good, home point here, clear of trees and people', 'Wait for the fix, set home again'],
  ['heading', 'Heading calibrated if the place is new, away from metal', 'Calibrate here'],
];

const UNDER_ROOF: readonly Item[] = [
  [
    'floor',
    'Floor bright and patterned enough for the sensor below; hold seen in a low hover',
    'Fly elsewhere',
  ],
  ['no-return', 'Automatic return off: nothing may climb here', 'Set it to hover'],
];

const FIT: readonly Item[] = [
  [
    'fit-pilot',
    'Pilot slept, ate, sober, no medicine that dulls, not shaken or hurried',
    'Not today, or the simulator',
  ],
  ['fit-trainer', 'The trainer as well', 'Somebody else teaches, or not today'],
];

const checkOf =
  (of: string) =>
  ([id, words, remedy]: Item): FlightCheck => ({ id: `${of} ${id}`, go: null, words, remedy });

/**
 * What is looked at on one craft at a place, to be ticked before its first pack of a day. What is not ticked is a
 * no-go with its remedy.
 */
export function preFlight({ craft, place }: BeforeFirstPack): readonly FlightCheck[] {
  const isRoofed = isUnderRoof(place);
  return [
    ...OF_CRAFT,
    ...(craft.hasPositionHold && !isRoofed ? FIX : []),
    ...(isRoofed ? UNDER_ROOF.filter(([id]) => id !== 'floor' || holdsHere(craft, place)) : []),
  ].map(checkOf('pre-flight'));
}

/** What is looked at around, once for everybody who flies there. */
export const placeChecks = (place: Place): readonly FlightCheck[] =>
  [...OF_PLACE, ...(isUnderRoof(place) ? OF_ROOF : [])].map(checkOf('place'));

/** Whoever flies and whoever teaches, asked once a day. From memory of aviation self-checks. */
export const FITNESS: readonly FlightCheck[] = FIT.map(checkOf('fitness'));

/** Said aloud before every landing, in this order. Common practice. */
export const PRE_LANDING =
  'Before landing: slow setting, wind, spot, legs, people, down, motors stopped before a hand leaves the sticks.';

/**
 * The judge of a flight, with what is looked at on the craft before its first pack of a day, and whether people
 * are fit for it.
 * @throws RangeError when an input lies outside the range of a formula
 */
export function judgeWithPreFlight(flight: FlightToBe): FlightCard {
  const card = judgeFlight(flight);
  return {
    ...card,
    go: card.go === true ? null : card.go,
    checks: [...card.checks, ...FITNESS, ...preFlight(flight), ...placeChecks(flight.place)],
  };
}
