import { usePathname } from 'expo-router';
import { useState } from 'react';
import type { RosterPilot } from '@skelby/core/pages/pages';
import { useRoster } from '../../offline/overlay/use-roster';
import { MODE_WORDS } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { TextBox } from '../../shared/forms/TextBox';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';

const SEARCH_FROM = 12;
/** Drawn until the others are asked for. */
const AT_FIRST = 40;

function PilotRows({ pilots }: { readonly pilots: readonly RosterPilot[] }) {
  const path = usePathname();
  const [wanted, setWanted] = useState('');
  return (
    <>
      {pilots.length >= SEARCH_FROM ? (
        <TextBox label="Find by name" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      ) : null}
      <Rows
        atFirst={AT_FIRST}
        empty={
          pilots.length === 0
            ? 'No pilots yet. Add the first; logging starts with a name.'
            : 'No pilot of that name.'
        }
      >
        {pilots
          .filter((pilot) => pilot.name.toLowerCase().includes(wanted.trim().toLowerCase()))
          .map((pilot) => (
            <LinkRow
              key={pilot.id}
              href={`/pilots/${pilot.id}`}
              isHere={path === `/pilots/${pilot.id}`}
              title={pilot.name}
              under={`${MODE_WORDS[pilot.mode]}${pilot.lastFlownOn ? ` · flew ${sayDay(pilot.lastFlownOn)}` : ' · no flight yet'}`}
            />
          ))}
      </Rows>
    </>
  );
}

/** Beside the page of one pilot, where there is room. */
export function PilotsBeside() {
  const roster = useRoster();
  return roster.data ? <PilotRows pilots={roster.data.pilots} /> : null;
}

export function Pilots() {
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Pilots">
      {({ pilots }) => (
        <Screen title="Pilots" foot={<LinkButton icon="plus" label="Add a pilot" href="/pilots/new/edit" />}>
          <LinkButton kind="quiet" icon="list" label="Where each stands on the course" href="/course" />
          <LinkButton kind="quiet" icon="search" label="Find anything by a word" href="/search" />
          <PilotRows pilots={pilots} />
        </Screen>
      )}
    </Loaded>
  );
}
