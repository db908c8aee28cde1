import type { Flight, Roster } from '@skelby/core/pages/pages';
import { useState } from 'react';
import { useFlights, useOlderFlights } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { useUnits } from '../../shared/api/use-units';
import { sayDay } from '../../shared/copy/dates';
import { flightWords } from '../../shared/copy/flight-copy';
import { TextBox } from '../../shared/forms/TextBox';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { OlderOnes } from '../../shared/ui/OlderOnes';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** So many come with the page; before them there may be more. */
const SENT_AT_ONCE = 200;
const SEARCH_FROM = 12;
const AT_FIRST = 40;

/** Flights, newest first, with older ones page after page; those of one pilot where a name says which. */
function FlightsOf({ roster, recent }: { readonly roster: Roster; readonly recent: readonly Flight[] }) {
  const units = useUnits();
  const [wanted, setWanted] = useState('');
  const looked = wanted.trim().toLowerCase();
  const of = looked === '' ? [] : roster.pilots.filter(({ name }) => name.toLowerCase().includes(looked));
  const older = useOlderFlights(recent.at(-1)?.id, of.length === 1 ? of[0]!.id : null);
  const all = [...recent, ...(older.data?.pages ?? []).flatMap((page) => page.flights)];
  const shown = all.filter(({ pilotName }) => (pilotName ?? '').toLowerCase().includes(looked));
  const hasMore = older.data ? older.hasNextPage : recent.length >= SENT_AT_ONCE;
  return (
    <Screen
      title="Flights"
      under="Rates need what was flown, not only what broke."
      up="/kit"
      foot={<LinkButton kind="main" icon="plus" label="Add a flight" href="/flights/new" />}
      end={<LinkButton icon="upload" label="From a file" href="/flights/file" />}
    >
      {recent.length >= SEARCH_FROM ? (
        <TextBox label="Find by name" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      ) : null}
      <Rows
        atFirst={AT_FIRST}
        empty={
          recent.length === 0
            ? "No flights yet. Add each day's flying: packs, minutes, wind."
            : 'No flight of that name among those read.'
        }
      >
        {shown.map((flight) => (
          <LinkRow
            key={flight.id}
            href={`/flights/${flight.id}`}
            title={`${flight.pilotName ?? ''}, ${sayDay(flight.day)}`}
            under={flightWords(flight, roster, units)}
          />
        ))}
      </Rows>
      {hasMore ? (
        <Words as="soft">{`The last ${all.length} are here, back to ${sayDay(all.at(-1)!.day)}.`}</Words>
      ) : null}
      {older.error ? <Words as="strong" role="alert">{`! ${older.error.message}`}</Words> : null}
      <OlderOnes list={{ ...older, hasNextPage: hasMore, fetchNextPage: () => older.fetchNextPage() }} />
    </Screen>
  );
}

export function Flights() {
  const flights = useFlights();
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Flights">
      {(data) => (
        <Loaded query={flights} title="Flights">
          {(recent) => <FlightsOf roster={data} recent={recent} />}
        </Loaded>
      )}
    </Loaded>
  );
}
