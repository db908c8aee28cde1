import { recordRep, takeRepBack } from '@skelby/core/commands/handles';
import { newRep } from '@skelby/core/commands/record-rep';
import { entryOf } from '../../offline/outbox/commands';
import type { Clearance } from '@skelby/core/clearance/clearance';
import { CHECK_ATTEMPTS } from '@skelby/core/clearance/clearing-rule';
import { whyNotCounted, type WhyNotCounted } from '@skelby/core/clearance/counts-for-test';
import type { MissReason } from '@skelby/core/clearance/facts';
import { nextStep, type NextStep } from '@skelby/core/clearance/next-step';
import { drillOf } from '@skelby/core/drills/drills';
import { versionInForce } from '@skelby/core/drills/school-book';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import type { RecordedRep, WeaknessPage } from '@skelby/core/pages/pages';
import { outbox } from '../../offline/outbox/use-outbox';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen, useIsWide } from '../../shared/ui/Screen';
import { SimulatorLink } from '../../shared/ui/SimulatorLink';
import { Words } from '../../shared/ui/Words';
import { sayDay, todayHere } from '../../shared/copy/dates';
import { BAND_WORDS, MODE_WORDS, plural, PURPOSE_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { CurveChart, StickPlate } from '../../shared/drawing';
import { chartName, curveSentence, rungWords } from '../../shared/copy/rung-copy';
import { useWeakness, useWorkedOut } from '../../offline/overlay/weakness-queries';
import { RelapseChart } from '../../shared/ui/OnWatch';
import { HowFlown, purposesFor } from './HowFlown';
import { forDrill, nextUp, type Settings, sideAfter, useSettings } from './settings';
import { Verdicts, WhyMissed } from '../../shared/ui/Verdicts';

const UNDO_REASONS = ['Mis-tap', 'Judged it wrong', 'Wrong drill or side', 'Not a fair attempt'] as const;

const NOT_COUNTED: Readonly<Record<WhyNotCounted, string>> = {
  'other-assistance':
    'Recorded, but it will not count: this mode is not the one the pilot has to show it in.',
  'pilot-relative': 'Recorded, but it will not count: pilot-relative mode hides what is being tested.',
  'no-side': 'Pick a side: without one it will not count.',
};

const howWords = (settings: Settings): string =>
  [
    PURPOSE_WORDS[settings.purpose],
    settings.side ? SIDE_WORDS[settings.side] : null,
    `${BAND_WORDS[settings.band]} wind`,
    settings.flownOn === 'craft' ? MODE_WORDS[settings.mode] : 'Simulator',
    `Pack ${settings.pack}`,
  ]
    .filter(Boolean)
    .join(' · ');

/** Where the drill stands: the chart, or the tally of the check. */
function Standing({
  settings,
  clearance,
  page,
}: {
  readonly settings: Settings;
  readonly clearance: Clearance;
  readonly page: WeaknessPage;
}) {
  const tally = (clearance.watch?.next ?? clearance.check)?.drills.find(
    (drill) => drill.drillId === settings.drillId,
  );
  if (settings.purpose === 'check' && tally) {
    return (
      <View>
        <Words as="heading">
          {tally.passed
            ? 'Check passed on this drill'
            : `Check: ${tally.met + tally.missed} of ${CHECK_ATTEMPTS} flown`}
        </Words>
        <Words as="figure">{`${tally.met} met · ${tally.missed} missed`}</Words>
      </View>
    );
  }
  if (clearance.watch) return <RelapseChart watch={clearance.watch} rule={page.rule} />;
  const chart = clearance.charts.find(
    (each) => each.drillId === settings.drillId && each.side === settings.side,
  );
  if (!chart) return <Words as="soft">This drill does not decide: practise it as long as it helps.</Words>;
  return (
    <CurveChart
      curve={chart.curve}
      name={chartName(chart)}
      sentence={curveSentence(chart, page.rule)}
      height={118}
      named={chart.side !== null}
    />
  );
}

function LastRep({
  reps,
  onUndo,
}: {
  readonly reps: readonly RecordedRep[];
  readonly onUndo: (rep: RecordedRep, reason: string) => void;
}) {
  const [asking, setAsking] = useState(false);
  const ofToday = reps
    .filter((rep) => !rep.takenBack && rep.day === todayHere())
    .sort((a, b) => b.flownAt.localeCompare(a.flownAt));
  const last = ofToday[0];
  if (!last) return null;
  const words = `${last.met ? 'Met' : 'Missed'}: ${drillOf(last.drillId).name}${last.side ? `, ${SIDE_WORDS[last.side].toLowerCase()}` : ''}`;
  if (!asking)
    return (
      <Button
        kind="quiet"
        icon="corner-up-left"
        label={`Undo today's no. ${ofToday.length} (${words})`}
        onPress={() => setAsking(true)}
      />
    );
  return (
    <View style={{ gap: 8 }}>
      <Words as="strong">{`Why undo "${words}"?`}</Words>
      <ButtonRow>
        {UNDO_REASONS.map((reason) => (
          <Button
            key={reason}
            label={reason}
            onPress={() => {
              setAsking(false);
              onUndo(last, reason);
            }}
          />
        ))}
        <Button kind="quiet" label="Keep it" onPress={() => setAsking(false)} />
      </ButtonRow>
    </View>
  );
}

function beginWith(
  page: WeaknessPage,
  drillIds: readonly string[],
  clearance: Clearance,
  next: NextStep,
  wanted: string | undefined,
): Settings {
  const behind = clearance.charts.find((chart) =>
    next.do === 'check'
      ? !clearance.check?.drills.find((each) => each.drillId === chart.drillId)?.passed
      : chart.curve.reachedAt === null,
  );
  const drillId =
    wanted && drillIds.includes(wanted)
      ? wanted
      : next.do === 'check'
        ? (behind?.drillId ?? drillIds[0]!)
        : drillIds[0]!;
  return {
    ...forDrill(drillId, page, clearance, next),
    pilotRelative: false,
    pack: 1,
    day: todayHere(),
    missedAt: null,
  };
}

function CounterOf({ page, wanted }: { readonly page: WeaknessPage; readonly wanted: string | undefined }) {
  const { clearance, reps, drillIds } = useWorkedOut(page);
  const next = nextStep(clearance, todayHere());
  const wide = useIsWide();
  const { settings, change } = useSettings(
    page.weakness.id,
    () => beginWith(page, drillIds, clearance, next, wanted),
    wanted,
  );
  const [choosing, setChoosing] = useState(false);
  const up = `/weakness/${page.weakness.id}` as const;
  const drill = drillOf(settings.drillId);
  const purposes = purposesFor(settings.drillId, clearance, next);
  const purpose = purposes.includes(settings.purpose) ? settings.purpose : purposes[0]!;
  const flown = { ...settings, purpose };

  const record = (met: boolean, missReason: MissReason | null, flownAt: string) => {
    const { drillId, side, band, flownOn, mode, pilotRelative, pack } = flown;
    const rep = newRep({
      weaknessId: page.weakness.id,
      drillId,
      purpose,
      met,
      missReason,
      side,
      band,
      flownOn,
      mode,
      pilotRelative,
      pack,
      drillVersion: versionInForce(drillId),
      day: todayHere(),
      flownAt,
    });
    void outbox.add(entryOf(recordRep, { id: uuid() }, rep, `rep of ${drill.name}`));
    change({
      missedAt: null,
      day: todayHere(),
      ...(purpose === 'check' ? { side: sideAfter(drillId, side) } : {}),
    });
  };
  const undo = (rep: RecordedRep, reason: string) =>
    void outbox.add(
      entryOf(takeRepBack, { id: rep.id }, { reason }, `undo of a rep of ${drillOf(rep.drillId).name}`),
    );
  const pickDrill = (drillId: string) => change(forDrill(drillId, page, clearance, next));

  const notCounted =
    purpose === 'practice' ? null : whyNotCounted(flown, page.weakness.causeId, page.pilot.mode);
  const upNext = clearance.watch ? null : nextUp(flown, clearance);
  const allThere = clearance.charts.every((chart) => chart.curve.reachedAt !== null);

  const counting = (
    <>
      {flown.missedAt ? (
        <WhyMissed
          onReason={(reason) => record(false, reason, flown.missedAt!)}
          onCancel={() => change({ missedAt: null })}
        />
      ) : (
        <>
          <LastRep reps={reps} onUndo={undo} />
          <Button icon="sliders" label={howWords(flown)} onPress={() => setChoosing(true)} />
          <Verdicts
            onMet={() => record(true, null, new Date().toISOString())}
            onMissed={() => change({ missedAt: new Date().toISOString() })}
          />
        </>
      )}
    </>
  );
  if (clearance.state === 'closed' || clearance.state === 'withdrawn') {
    return (
      <Screen title={drill.name} under={page.pilot.name} up={up}>
        <Note icon="check-circle">This weakness is not open: no reps to count.</Note>
        <LinkButton label="Back to the weakness" href={up} />
      </Screen>
    );
  }
  return (
    <Screen
      title={drill.name}
      under={page.pilot.name}
      up={up}
      foot={choosing ? <Button kind="solid" label="Count on" onPress={() => setChoosing(false)} /> : counting}
    >
      {choosing ? (
        <HowFlown
          settings={flown}
          drillIds={drillIds}
          clearance={clearance}
          next={next}
          onDrill={pickDrill}
          onChange={change}
        />
      ) : (
        <View style={{ gap: 16, maxWidth: wide ? 640 : undefined }}>
          <WaitingNote brief />
          <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
            <Words as="heading" style={{ flex: 1 }}>
              {drill.byEye}
            </Words>
            {drill.sticks.length > 0 ? (
              <StickPlate layout={page.pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
            ) : null}
          </View>
          {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
          {notCounted ? <Note icon="alert-triangle">{NOT_COUNTED[notCounted]}</Note> : null}
          {next.do === 'wait' ? (
            <Note icon="moon">{`The check is due ${sayDay(next.until)}: a rep now moves it.`}</Note>
          ) : null}
          {next.do === 'sign' ? (
            <Note icon="check-circle" heading="Check passed">
              <LinkButton kind="solid" label="Go and sign" href={up} />
            </Note>
          ) : null}
          {upNext ? (
            <Button
              icon="arrow-right"
              label={`${upNext.drillId === flown.drillId ? 'This side is there' : 'This drill is there'}. Next: ${chartName(upNext)}`}
              onPress={() =>
                change(
                  upNext.drillId === flown.drillId
                    ? { side: upNext.side }
                    : { ...forDrill(upNext.drillId, page, clearance, next), purpose, side: upNext.side },
                )
              }
            />
          ) : null}
          {next.do === 'drill' && allThere ? (
            <Note icon="map" heading="The test is passed; not yet shown everywhere">
              <Words>{rungWords('coverage', clearance, page.rule)}</Words>
              <Words>{rungWords('days', clearance, page.rule)}</Words>
            </Note>
          ) : null}
          <Standing settings={flown} clearance={clearance} page={page} />
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
              with={{ pilot: page.pilot.id, weakness: page.weakness.id, purpose, side: flown.side }}
            />
          )}
        </View>
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
