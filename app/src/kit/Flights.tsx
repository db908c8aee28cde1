import { LinkButton } from '../ui/Button';
import { Loaded } from '../ui/Loaded';
import { LinkRow, Rows } from '../ui/Rows';
import { Screen } from '../ui/Screen';
import type { Flight, Roster } from '../api/types';
import { type Speaking, useUnits } from '../api/use-units';
import { sayDay } from '../words/dates';
import { plural } from '../words/words';
import { useFlights } from './kit-queries';
import { useRoster } from '../laid-over/use-roster';

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

export function Flights() {
  const units = useUnits();
  const flights = useFlights();
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Flights">
      {(data) => (
        <Loaded query={flights} title="Flights">
          {(all) => (
            <Screen
              title="Flights"
              under="Rates need what was flown, not only what broke."
              foot={<LinkButton kind="main" icon="plus" label="Add a flight" href="/flights/new" />}
            >
              <Rows empty="No flights yet. Add each day's flying: packs, minutes, wind.">
                {all.map((flight) => (
                  <LinkRow
                    key={flight.id}
                    href={`/flights/${flight.id}`}
                    title={`${flight.pilotName ?? ''}, ${sayDay(flight.day)}`}
                    under={flightWords(flight, data, units)}
                  />
                ))}
              </Rows>
            </Screen>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}
