import { holdsHere, isUnderRoof } from '../reconstruct/return-height';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Place } from '../vocabulary/flying';
import { sentence } from '../vocabulary/said';
import type { FlightCard, FlightCheck, FlightToBe } from './flight-to-be';
import { judgeFlight } from './judge';

/** What decides what is looked at before the first pack of a day. */
export interface BeforeFirstPack {
  readonly craft: Pick<CraftFacts, 'hasPositionHold' | 'sensorSides' | 'sensorsInFast'>;
  readonly place: Place;
}

/** On every craft, in every place. Common practice in inspections; the maker's papers come first. */
const OF_CRAFT = ['rotors', 'pack', 'loose', 'nose', 'mode', 'limit'] as const;
/** Once for everybody who flies there. */
const OF_PLACE = ['allowed', 'behind'] as const;
const OF_ROOF = ['openings'] as const;
const FIX = ['fix', 'heading'] as const;
const UNDER_ROOF = ['floor', 'no-return'] as const;
const FIT = ['fit-pilot', 'fit-trainer'] as const;

type ItemId =
  | (typeof OF_CRAFT)[number]
  | (typeof OF_PLACE)[number]
  | (typeof OF_ROOF)[number]
  | (typeof FIX)[number]
  | (typeof UNDER_ROOF)[number]
  | (typeof FIT)[number];

const checkOf =
  (of: string) =>
  (id: ItemId): FlightCheck => ({
    id: `${of} ${id}`,
    go: null,
    said: sentence(`item.${id}`),
    remedy: sentence(`item-remedy.${id}`),
  });

/**
 * What is looked at on one craft at a place, to be ticked before its first pack of a day. What is not ticked is a
 * no-go with its remedy.
 */
export function preFlight({ craft, place }: BeforeFirstPack): readonly FlightCheck[] {
  const isRoofed = isUnderRoof(place);
  return [
    ...OF_CRAFT,
    ...(craft.hasPositionHold && !isRoofed ? FIX : []),
    ...(isRoofed ? UNDER_ROOF.filter((id) => id !== 'floor' || holdsHere(craft, place)) : []),
  ].map(checkOf('pre-flight'));
}

/** What somebody has told of the place, to be looked at by whoever flies there next. */
const hazardCheck = (hazard: string): FlightCheck => ({
  id: `place hazard ${hazard}`,
  go: null,
  said: sentence('item.hazard', { hazard }),
  remedy: sentence('item-remedy.hazard'),
});

/** What was told of the place comes before everything else. @param hazard empty or absent: nothing was */
export const hazardChecks = (hazard = ''): readonly FlightCheck[] =>
  hazard === '' ? [] : [hazardCheck(hazard)];

/** What is looked at around, once for everybody who flies there. */
export const placeChecks = (place: Place): readonly FlightCheck[] =>
  [...OF_PLACE, ...(isUnderRoof(place) ? OF_ROOF : [])].map(checkOf('place'));

/** Whoever flies and whoever teaches, asked once a day. From memory of aviation self-checks. */
export const FITNESS: readonly FlightCheck[] = FIT.map(checkOf('fitness'));

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
    checks: [
      ...card.checks,
      ...hazardChecks(flight.hazard),
      ...FITNESS,
      ...preFlight(flight),
      ...placeChecks(flight.place),
    ],
  };
}
