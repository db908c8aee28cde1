import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { useUnits } from '../../shared/api/use-units';
import { sayDay } from '../../shared/copy/dates';
import { flightWords } from '../../shared/copy/flight-copy';
import { useFlights } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';

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
