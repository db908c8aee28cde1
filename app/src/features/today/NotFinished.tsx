import { useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { sayTime } from '../../shared/copy/dates';
import { lastThrown, throwAway, undoThrowing, unfinishedHere } from '../../shared/storage/use-draft';
import { Button } from '../../shared/ui/Button';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import type { Href } from 'expo-router';
import { View } from 'react-native';

const AT_FIRST = 3;

/** What was begun on this phone and not saved, by name; nothing where there is none. */
export function NotFinished() {
  const [all, setAll] = useState(unfinishedHere);
  const { pilots = [] } = useRoster().data ?? {};
  const thrown = lastThrown();
  if (all.length === 0 && thrown === null) return null;
  const drop = (under: string) => {
    throwAway(under);
    setAll(unfinishedHere());
  };
  return (
    <Part heading="Not finished">
      {thrown ? (
        <Button
          kind="quiet"
          icon="corner-up-left"
          label={`Thrown away: ${thrown}. Bring it back`}
          onPress={() => {
            undoThrowing();
            setAll(unfinishedHere());
          }}
        />
      ) : null}
      <Rows atFirst={AT_FIRST}>
        {all.map(({ under, what, pilotId, href, at }) => {
          const title = [what, pilots.find((pilot) => pilot.id === pilotId)?.name]
            .filter(Boolean)
            .join(' · ');
          return (
            <View key={under} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
              <View style={{ flex: 1 }}>
                <LinkRow href={href as Href} title={title} under={sayTime(new Date(at).toISOString())} />
              </View>
              <Button icon="x" label="" says={`Throw away: ${title}`} onPress={() => drop(under)} />
            </View>
          );
        })}
      </Rows>
    </Part>
  );
}
