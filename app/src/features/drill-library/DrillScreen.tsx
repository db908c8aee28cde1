import { drillGroupName, type WordedDrill } from '@skelby/copy/drills';
import { useDrills } from '../../shared/api/use-drills';
import { coachingOf } from '@skelby/copy/coaching';
import { type Drill, type Side } from '@skelby/core/drills/drill';
import { isDrillId, type DrillId } from '@skelby/core/drills/drills';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useUnits } from '../../shared/api/use-units';
import { Movement } from '../../shared/drawing';
import { useDrillVersions } from '../../offline/overlay/use-book';
import { useRoster } from '../../offline/overlay/use-roster';
import { keep, kept } from '../../shared/storage/storage';
import { Choice } from '../../shared/forms/Choice';
import { Note } from '../../shared/ui/Note';
import { LinkButton } from '../../shared/ui/Button';
import { LinkRow, Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { isFlownHere, practiceHref } from '../../shared/ui/SimulatorLink';
import { Words } from '../../shared/ui/Words';
import { sayDay } from '../../shared/copy/dates';
import { plural, SIDE_WORDS, STANDING_LINE } from '../../shared/copy/copy';

const LAYOUTS = [1, 2, 3, 4] as const;
const LAYOUT = 'drill.layout';

const SIMULATOR_WORDS: Readonly<Record<Drill['simulator'], string>> = {
  first: 'Simulator first, then the craft',
  allowed: 'On the simulator or the craft',
  'no-use': 'Not for the simulator',
};
const KIND_WORDS: Readonly<Record<Drill['kind'], string>> = {
  flown: '',
  spoken: 'Spoken: no flying',
  ground: 'On the ground: no flying',
};

/** The school's own changes to the standard, each with its reason. */
function Versions({ drill }: { readonly drill: WordedDrill<DrillId> }) {
  const { sentence } = useUnits();
  const { data: versions } = useDrillVersions();
  return (
    <Part
      heading="Versions"
      end={
        <LinkButton
          kind="quiet"
          label={isOwnDrillId(drill.id) ? 'Change the drill' : 'Change the standard'}
          href={`/drills/${drill.id}/edit`}
        />
      }
    >
      <Rows empty="The house standard, never changed here.">
        {(versions ?? [])
          .filter((version) => version.drillId === drill.id)
          .map((version) => (
            <Row
              key={version.number}
              title={`Version ${version.number}: ${sentence(version.fields.byEye)}`}
              under={[
                sayDay(version.madeAt.slice(0, 10)),
                version.by,
                version.reason,
                `${plural(version.reps, 'rep')} flown under it`,
              ]
                .filter(Boolean)
                .join(' · ')}
            />
          ))}
      </Rows>
    </Part>
  );
}

/** What is done, what goes wrong, when to stop, and what counts. */
function DrillFacts({ drill }: { readonly drill: WordedDrill<DrillId> }) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const coaching = coachingOf(drill.id);
  return (
    <>
      <Part heading="Do">
        <Words>{sentence(drill.task)}</Words>
      </Part>
      <Part heading="What goes wrong">
        {coaching.mistakes.map((mistake) => (
          <Words key={mistake}>{`– ${mistake}.`}</Words>
        ))}
      </Part>
      <Part heading="Stop when">
        <Words>{coaching.stop}</Words>
      </Part>
      <Part heading="Standard">
        <Words>{`By eye: ${sentence(drill.byEye)}.`}</Words>
        <Words>{`Measured: ${sentence(drill.measured)}.`}</Words>
        <Words as="soft">{`How much: ${drill.dose}. ${[KIND_WORDS[drill.kind], SIMULATOR_WORDS[drill.simulator]].filter(Boolean).join('. ')}.`}</Words>
      </Part>
      <Versions drill={drill} />
      {drill.after.length > 0 ? (
        <Part heading="Comes after">
          <Rows>
            {drill.after.map((id) => (
              <LinkRow key={id} href={`/drills/${id}`} title={drillOf(id).name} under={drillOf(id).trains} />
            ))}
          </Rows>
        </Part>
      ) : null}
      <Words as="soft">{`People behind the line, nobody under the path. ${STANDING_LINE}`}</Words>
    </>
  );
}

/** The movement as it is wanted, on one side and one layout of the sticks. @param whose the pilot's own layout */
function DrawnDrill({
  drill,
  whose,
}: {
  readonly drill: WordedDrill<DrillId>;
  readonly whose: StickLayout | null;
}) {
  const [picked, setPicked] = useState<StickLayout | null>(kept<StickLayout>(LAYOUT));
  const layout = picked ?? whose ?? 2;
  const [side, setSide] = useState<Side | null>(drill.sides[0] ?? null);
  return (
    <>
      {drill.sides.length > 0 ? (
        <Choice
          label="Side"
          value={side}
          onChange={setSide}
          options={drill.sides.map((value) => ({ value, label: SIDE_WORDS[value] }))}
        />
      ) : null}
      <Movement
        key={`${drill.id} ${String(side)} ${layout}`}
        drillId={drill.id}
        side={side}
        layout={layout}
      />
      <Choice
        label="Transmitter"
        value={layout}
        onChange={(value) => {
          keep(LAYOUT, value);
          setPicked(value);
        }}
        options={LAYOUTS.map((value) => ({ value, label: `Mode ${value}` }))}
      />
    </>
  );
}

function Page({ drill }: { readonly drill: WordedDrill<DrillId> }) {
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  const { sentence } = useUnits();
  const roster = useRoster().data;
  const whose = roster?.pilots.find((each) => each.id === pilot);
  const moves = drill.sticks.length > 0;
  const flies = moves && isFlownHere(drill);
  const group = drillGroupName(drill.group);
  return (
    <Screen
      foot={
        flies ? (
          <LinkButton
            kind="main"
            icon="play"
            label="Practise it here"
            href={practiceHref(drill.id, whose ? { pilot: whose.id } : {})}
          />
        ) : undefined
      }
      title={drill.name}
      under={[group, whose?.name].filter(Boolean).join(' · ')}
      up="/drills"
      aside={<DrillFacts drill={drill} />}
    >
      <Words as="heading">{sentence(drill.byEye)}</Words>
      {drill.caution ? (
        <Note icon="alert-triangle" heading="Caution">
          {sentence(drill.caution)}
        </Note>
      ) : null}
      {moves ? <DrawnDrill drill={drill} whose={whose?.stickLayout ?? null} /> : null}
    </Screen>
  );
}

export function DrillScreen() {
  const { drillOf } = useDrills();
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!isDrillId(id))
    return (
      <Screen title="Drill" up="/drills">
        <Note icon="help-circle" heading="Not here">
          There is no such drill.
        </Note>
      </Screen>
    );
  return <Page key={id} drill={drillOf(id)} />;
}
