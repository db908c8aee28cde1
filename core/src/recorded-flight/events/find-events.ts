import { knownPlaceOf } from '../known-place';
import { isInGap, type SmoothFlight } from '../smoothing/smooth-flight';
import { type MeanWind, meanWindOf } from '../wind';
import { airborneFinder, airborneIn } from './airborne';
import { leansOf, snappedFinder, tippedFinder } from './attitude-events';
import { forcedLandingFinder, linkLostFinder, lowReturnFinder, windyFinder } from './by-what-is-known';
import { crossedLineFinder } from './crossed-line';
import { type EventFinder, type EventLimits, type FlightEvent, USUAL_LIMITS } from './flight-event';
import { brakedLateBefore, reversedBefore } from './how-it-came';
import { cutOffFinder, hitFinder, hitGroundFinder } from './hit';
import { farFinder, ownWashFinder, slidFinder, swungUpFinder } from './moving-events';
import { flewItselfFinder, gapFinder, lowBatteryFinder, modeChangedFinder } from './told-events';

const FINDERS: readonly EventFinder[] = [
  airborneFinder,
  hitFinder,
  hitGroundFinder,
  cutOffFinder,
  tippedFinder,
  snappedFinder,
  ownWashFinder,
  slidFinder,
  swungUpFinder,
  flewItselfFinder,
  modeChangedFinder,
  lowBatteryFinder,
  forcedLandingFinder,
  linkLostFinder,
  lowReturnFinder,
  windyFinder,
  farFinder,
  crossedLineFinder,
  gapFinder,
];

/** What was worked out of a flight already, for whoever needs it too. */
interface WorkedOut {
  readonly airborne: Uint8Array;
  readonly wind: MeanWind | null;
}

/** What a recorded flight shows, in order of time. What would lie in a gap was not seen. */
export function findEvents(
  flight: SmoothFlight,
  limits: EventLimits = USUAL_LIMITS,
  workedOut?: WorkedOut,
): readonly FlightEvent[] {
  const airborne = workedOut?.airborne ?? airborneIn(flight);
  const wind = () => (workedOut ? workedOut.wind : meanWindOf(flight, airborne));
  const from = { flight, limits, leans: leansOf(flight), airborne, wind, place: knownPlaceOf(flight) };
  const found = FINDERS.flatMap((find) => find(from));
  return [...found, ...reversedBefore(from, found), ...brakedLateBefore(from, found)]
    .filter(({ is, atS }) => is === 'gap' || !isInGap(flight, atS))
    .sort((a, b) => a.atS - b.atS);
}
