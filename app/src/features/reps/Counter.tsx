import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import { isFirstEdition, testsADayOf } from '@skelby/core/clearance/clearing-rule';
import type { WhyNotCounted } from '@skelby/core/clearance/counts-for-test';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { FIELD_DRILLS } from '@skelby/core/recorded-flight/reps/field-drills';
import { drillOf, isFlown } from '@skelby/core/drills/drills';
import { type Href, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useWeakness } from '../../offline/overlay/weakness-queries';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { type Speaking, useUnits } from '../../shared/api/use-units';
import {
  BAND_WORDS,
  LEVEL_NAMES,
  MODE_WORDS,
  plural,
  PURPOSE_WORDS,
  SIDE_WORDS,
} from '../../shared/copy/copy';
import { sayDay, todayHere } from '../../shared/copy/dates';
import { chartName, rungWords } from '../../shared/copy/rung-copy';
import { valuesLine, valuesOf } from '../../shared/copy/value-copy';
import { StickPlate } from '../../shared/drawing';
import { AnnouncedLine, AnnounceFoot } from '../../offline/ui/Announce';
import { CaseCard } from '../../shared/forms/CaseCard';
import { ValueEntry } from '../../shared/forms/ValueEntry';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen, useIsWide } from '../../shared/ui/Screen';
import { SimulatorLink } from '../../shared/ui/SimulatorLink';
import { aloud, flownAloud } from '../../shared/verdicts/aloud';
import { HandsFreeChoice } from '../../shared/verdicts/HandsFreeChoice';
import { VerdictFoot } from '../../shared/verdicts/Verdicts';
import { Words } from '../../shared/ui/Words';
import { HowFlown } from './HowFlown';
import { LastRep } from './LastRep';
import { Practising } from './Practising';
import type { Settings } from './settings';
import { DrillStanding } from './Standing';
import { type Counting, levelOf, NOTHING_MEASURED, useCounter } from './use-counter';

const NOT_COUNTED: Readonly<Record<WhyNotCounted, string>> = {
  'with-hold': 'With hold on it shows the drill as it is usually flown; the chart moves with hold off only.',
  'other-assistance':
    'Recorded, but it will not count: this mode is not the one the pilot has to show it in.',
  'pilot-relative': 'Recorded, but it will not count: pilot-relative mode hides what is being tested.',
  'no-side': 'Pick a side: without one it will not count.',
  'too-wide': 'Recorded, but it will not count: tests are flown at the narrowest opening.',
};

const flownWords = (settings: Settings, { sayM }: Speaking): readonly (string | null)[] => [
  settings.distanceM ? `${sayM(settings.distanceM)} away` : null,
  settings.widthSpans ? `${settings.widthSpans} spans` : null,
  settings.stage ? `Stage ${settings.stage}` : null,
  `${BAND_WORDS[settings.band]} wind`,
  settings.flownOn === 'craft' ? MODE_WORDS[settings.mode] : 'Simulator',
];

const howWords = (settings: Settings, units: Speaking): string =>
  [
    PURPOSE_WORDS[settings.purpose],
    settings.level ? LEVEL_NAMES[settings.level] : null,
    settings.side ? SIDE_WORDS[settings.side] : null,
    ...(isFlown(drillOf(settings.drillId)) ? flownWords(settings, units) : ['At the craft']),
    `Pack ${settings.pack}`,
  ]
    .filter(Boolean)
    .join(' · ');

interface PartProps {
  readonly page: WeaknessPage;
  readonly counting: Counting;
}

/** The standard in words, and the sticks it works. */
function TheStandard({ page, counting }: PartProps) {
  const { drill } = counting;
  return (
    <>
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <Words as="heading" style={{ flex: 1 }}>
          {counting.asked}
        </Words>
        {drill.sticks.length > 0 ? (
          <StickPlate layout={page.pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
        ) : null}
      </View>
      {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
      {counting.drawn ? <CaseCard drawn={counting.drawn} /> : null}
    </>
  );
}

/** What is worth knowing before the next rep. */
function Notes({ page, counting }: PartProps) {
  const { clearance, next, notCounted, upNext, settings, allThere } = counting;
  return (
    <>
      {notCounted ? <Note icon="alert-triangle">{NOT_COUNTED[notCounted]}</Note> : null}
      {settings.purpose === 'test' && counting.testsLeftToday === 0 ? (
        <Note icon="moon" heading="That was today's last">
          {`${testsADayOf(page.rule)} tests of a chart count in a day. More are kept and not counted: practise, or go on another day.`}
        </Note>
      ) : null}
      {next.do === 'wait' ? (
        <Note icon="moon">{`The check is due ${sayDay(next.until)}: a rep now moves it.`}</Note>
      ) : null}
      {next.do === 'sign' ? (
        <Note icon="check-circle" heading="Check passed">
          <LinkButton kind="solid" label="Go and sign" href={`/weakness/${page.weakness.id}`} />
        </Note>
      ) : null}
      {upNext ? (
        <Button
          icon="arrow-right"
          label={`${upNext.drillId === settings.drillId ? 'This side is passed' : 'This drill is passed'}. Next: ${chartName(upNext)}`}
          onPress={() => counting.goOn(upNext)}
        />
      ) : null}
      {next.do === 'drill' && allThere ? (
        <Note icon="map" heading="The test is passed; not yet shown everywhere">
          <Words>{rungWords('coverage', clearance, page.rule)}</Words>
          <Words>{rungWords('days', clearance, page.rule)}</Words>
        </Note>
      ) : null}
    </>
  );
}

/** The value of the next rep, and those of the reps of today. */
function Values({ counting: { drill, reps, settings, change } }: Pick<PartProps, 'counting'>) {
  const { units } = useUnits();
  const today = reps
    .filter((rep) => rep.drillId === drill.id && rep.side === settings.side && rep.day === todayHere())
    .sort(newestFirst);
  const said = valuesLine(drill.id, valuesOf(today), units);
  return (
    <>
      <ValueEntry
        drillId={drill.id}
        value={settings.measure ?? null}
        onChange={(measure) => change({ measure })}
      />
      {said ? <Words as="soft">{said}</Words> : null}
    </>
  );
}

/** Met or missed under the thumb. */
function CountingFoot({ page, counting, onHow }: PartProps & { readonly onHow: () => void }) {
  const speaking = useUnits();
  const { settings, announced, drill } = counting;
  const today = counting.reps.filter(
    (rep) => rep.drillId === drill.id && !rep.takenBack && rep.day === todayHere(),
  );
  return (
    <VerdictFoot
      drill={drill}
      task={aloud(drill.name, howWords(settings, speaking), counting.asked, drill.caution)}
      standing={flownAloud(today)}
      level={levelOf(settings)}
      lastAt={counting.lastAt}
      waits={settings}
      change={counting.change}
      record={counting.record}
      around={
        <>
          <LastRep reps={counting.reps} missStays={!isFirstEdition(page.rule)} onUndo={counting.undo} />
          <Button icon="sliders" label={howWords(settings, speaking)} onPress={onHow} />
          <AnnouncedLine announced={announced} />
        </>
      }
      first={
        announced.isWanted || announced.elsewhere ? (
          <AnnounceFoot announced={announced} left={counting.testsLeftToday} />
        ) : null
      }
    />
  );
}

/** What a recorded flight says of the next rep, or the way to ask one. */
function FromFlight({ page, counting: { drill, settings, change } }: PartProps) {
  const { flightSays, flownThen, side } = settings;
  if (flightSays)
    return (
      <Note icon="activity" heading="What the flight says">
        <Words>{flightSays}</Words>
        <Words as="soft">Count it as you see it: the rep says that it was measured.</Words>
        {flownThen ? <Words>{`Flown on ${sayDay(flownThen.day)}: it goes there, as practice.`}</Words> : null}
        <Button kind="quiet" icon="x" label="Leave the flight out" onPress={() => change(NOTHING_MEASURED)} />
      </Note>
    );
  if (!FIELD_DRILLS.includes(drill.id) || settings.flownOn !== 'craft') return null;
  const asked = new URLSearchParams({
    weakness: page.weakness.id,
    drill: drill.id,
    ...(side ? { side } : {}),
  });
  return (
    <LinkButton
      kind="quiet"
      icon="activity"
      label="Judge it from a flight file"
      href={`/flights/file?${asked.toString()}` as Href}
    />
  );
}

function CountingBody({ page, counting }: PartProps) {
  const { drill, settings, next } = counting;
  const wide = useIsWide();
  return (
    <View style={{ gap: 16, maxWidth: wide ? 640 : undefined }}>
      <WaitingNote brief />
      <TheStandard page={page} counting={counting} />
      <Notes page={page} counting={counting} />
      {settings.purpose === 'practice' && next.do === 'drill' ? (
        <Practising page={page} counting={counting} />
      ) : null}
      <DrillStanding settings={settings} clearance={counting.clearance} page={page} />
      <Values counting={counting} />
      <FromFlight page={page} counting={counting} />
      <HandsFreeChoice />
      {settings.pack > 2 ? (
        <Words as="soft">{`${plural(settings.pack, 'pack')}: short and often teaches more. A break?`}</Words>
      ) : null}
      <Words as="soft">{drill.task}</Words>
      <LinkButton
        kind="quiet"
        icon="play-circle"
        label="See it flown"
        href={`/drills/${drill.id}?pilot=${page.pilot.id}`}
      />
      {next.do === 'check' ? null : (
        <SimulatorLink
          drill={drill}
          label="Fly it on the simulator"
          with={{
            pilot: page.pilot.id,
            weakness: page.weakness.id,
            purpose: settings.purpose,
            side: settings.side,
          }}
        />
      )}
    </View>
  );
}

function CounterOf({ page, wanted }: { readonly page: WeaknessPage; readonly wanted: string | undefined }) {
  const counting = useCounter(page, wanted);
  const [choosing, setChoosing] = useState(false);
  const up = `/weakness/${page.weakness.id}` as const;
  const { clearance, drill } = counting;
  if (clearance.state === 'closed' || clearance.state === 'withdrawn')
    return (
      <Screen title={drill.name} under={page.pilot.name} up={up}>
        <Note icon="check-circle">This weakness is not open: no reps to count.</Note>
        <LinkButton label="Back to the weakness" href={up} />
      </Screen>
    );
  return (
    <Screen
      title={drill.name}
      under={page.pilot.name}
      up={up}
      foot={
        choosing ? (
          <Button kind="solid" label="Count on" onPress={() => setChoosing(false)} />
        ) : (
          <CountingFoot page={page} counting={counting} onHow={() => setChoosing(true)} />
        )
      }
    >
      {choosing ? (
        <HowFlown
          settings={counting.settings}
          drillIds={counting.drillIds}
          clearance={clearance}
          next={counting.next}
          onDrill={counting.pickDrill}
          onChange={counting.change}
        />
      ) : (
        <CountingBody page={page} counting={counting} />
      )}
    </Screen>
  );
}

export function Counter() {
  const { id, drill } = useLocalSearchParams<{ id: string; drill?: string }>();
  const query = useWeakness(id);
  return (
    <Loaded query={query} title="Count reps" up={`/weakness/${id}`}>
      {(page) => <CounterOf key={page.weakness.id} page={page} wanted={drill} />}
    </Loaded>
  );
}
