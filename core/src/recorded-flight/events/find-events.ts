import { isInGap, type SmoothFlight } from '../smoothing/smooth-flight';
import { airborneFinder, airborneIn } from './airborne';
import { leansOf, snappedFinder, tippedFinder } from './attitude-events';
import { type EventFinder, type EventLimits, type FlightEvent, USUAL_LIMITS } from './flight-event';
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
  farFinder,
  gapFinder,
];

/** What a recorded flight shows, in order of time. What would lie in a gap was not seen. */
export function findEvents(flight: SmoothFlight, limits: EventLimits = USUAL_LIMITS): readonly FlightEvent[] {
  const from = { flight, limits, leans: leansOf(flight), airborne: airborneIn(flight) };
  return FINDERS.flatMap((find) => find(from))
    .filter(({ is, atS }) => is === 'gap' || !isInGap(flight, atS))
    .sort((a, b) => a.atS - b.atS);
}
