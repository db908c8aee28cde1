import { useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { sayDay } from '../../shared/copy/dates';
import { MODE_WORDS } from '../../shared/copy/copy';

const SEARCH_FROM = 12;

export function Pilots() {
  const roster = useRoster();
  const [wanted, setWanted] = useState('');
  return (
    <Loaded query={roster} title="Pilots">
      {({ pilots }) => (
        <Screen title="Pilots" foot={<LinkButton icon="plus" label="Add a pilot" href="/pilots/new/edit" />}>
          {pilots.length >= SEARCH_FROM ? (
            <TextBox label="Find by name" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
          ) : null}
          <Rows
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
                  title={pilot.name}
                  under={`${MODE_WORDS[pilot.mode]}${pilot.lastFlownOn ? ` · flew ${sayDay(pilot.lastFlownOn)}` : ' · no flight yet'}`}
                />
              ))}
          </Rows>
        </Screen>
      )}
    </Loaded>
  );
}
