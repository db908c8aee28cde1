import { drillGroupName } from '@skelby/copy/drills';
import { useDrills } from '../../shared/api/use-drills';
import { DRILL_GROUPS } from '@skelby/core/drills/drill';
import { useState } from 'react';
import { StickPlate } from '../../shared/drawing';
import { ButtonRow, LinkButton } from '../../shared/ui/Button';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen, useIsWide } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';

/** Every drill there is, by what it works on. */
export function DrillsScreen() {
  const { all } = useDrills();
  const [wanted, setWanted] = useState('');
  const wide = useIsWide();
  const words = wanted.trim().toLowerCase();
  const found = all.filter((drill) =>
    `${drill.name} ${drill.trains} ${drill.task}`.toLowerCase().includes(words),
  );
  const groups = DRILL_GROUPS.map((id) => ({
    id,
    drills: found.filter((drill) => drill.group === id),
  })).filter((group) => group.drills.length > 0);
  const half = Math.ceil(groups.length / 2);
  const parts = (some: typeof groups) =>
    some.map((group) => (
      <Part key={group.id} heading={drillGroupName(group.id)}>
        <Rows>
          {group.drills.map((drill) => (
            <LinkRow
              key={drill.id}
              href={`/drills/${drill.id}`}
              title={drill.name}
              under={`${drill.trains}${drill.kind === 'flown' ? (drill.simulator === 'first' ? ' · simulator first' : '') : ' · no flying'}`}
              after={
                drill.sticks.length > 0 ? (
                  <StickPlate layout={2} moves={drill.sticks} width={34} names={false} />
                ) : undefined
              }
            />
          ))}
        </Rows>
      </Part>
    ));
  return (
    <Screen
      title="Drills"
      up="/"
      end={<LinkButton icon="plus" label="Write one" href="/drills/new/edit" />}
      aside={wide ? parts(groups.slice(half)) : undefined}
    >
      <TextBox label="Find a drill" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      {words === '' ? (
        <ButtonRow>
          <LinkButton kind="quiet" icon="wind" label="Free flight" href="/fly/free" />
          <LinkButton kind="quiet" icon="flag" label="A lap of gates" href="/fly/lap" />
        </ButtonRow>
      ) : null}
      {groups.length === 0 ? <Words as="soft">No drill with these words.</Words> : null}
      {parts(wide ? groups.slice(0, half) : groups)}
    </Screen>
  );
}
