import type { Flight, Roster } from '@skelby/core/pages/pages';
import type { Speaking } from '../api/use-units';
import { plural } from './copy';

/** What was flown, in a line. */
export function flightWords(flight: Flight, roster: Roster, { say }: Speaking): string {
  const craft = roster.craft.find((each) => each.id === flight.craftId)?.name;
  const site = roster.sites.find((each) => each.id === flight.siteId)?.name;
  return [
    plural(flight.packs, 'pack'),
    `${flight.minutes} min`,
    craft,
    site,
    `wind ${say(flight.windMps, 'm/s')}`,
  ]
    .filter(Boolean)
    .join(' · ');
}
