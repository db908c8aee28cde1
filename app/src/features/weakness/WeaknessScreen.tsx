import { causeWords } from '@skelby/copy/causes';
import { untilCleared } from '../../shared/copy/restriction-copy';
import { flownOrder } from '@skelby/core/vocabulary/flown-order';
import { useDrills } from '../../shared/api/use-drills';
import { isFirstEdition, gathersEvidence } from '@skelby/core/clearance/clearing-rule';
import type { Clearance } from '@skelby/core/clearance/clearance';
import { isOpen, restricts } from '@skelby/core/clearance/open-states';
import { nextStep } from '@skelby/core/clearance/next-step';
import { lastSignature } from '@skelby/core/weakness/allowed-moves';
import { onReleaseIn } from '@skelby/core/vocabulary/flying';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Chart } from '@skelby/core/clearance/clearance';
import type { RecordedRep, WeaknessPage } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { LinkButton } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { LargeLadder } from '../../shared/ui/Ladder';
import { Loaded } from '../../shared/ui/Loaded';
import { FileButton } from '../../shared/ui/FileButton';
import { May } from '../../shared/ui/May';
import { Note } from '../../shared/ui/Note';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { isFlownHere, SimulatorLink } from '../../shared/ui/SimulatorLink';
import { Words } from '../../shared/ui/Words';
import { todayHere } from '../../shared/copy/dates';
import { STANDING_LINE, STATE_WORDS } from '../../shared/copy/copy';
import { CurveChart, StickPlate, ValueChart } from '../../shared/drawing';
import { CoverageGrid } from './CoverageGrid';
import { History } from './History';
import { WeaknessFoot } from './WeaknessFoot';
import { AtThisRate, HowSure, WhatItTakes } from './HowSure';
import { OtherwiseNow } from './OtherwiseNow';
import { OnWatch } from '../../shared/drawing/OnWatch';
import { chartName, curveSentence, rungWords } from '../../shared/copy/rung-copy';
import { AbilityPicture } from './AbilityPicture';
import { PilotsWord } from './PilotsWord';
import { useMove, useWeakness, useWorkedOut, type WorkedOut } from '../../offline/overlay/weakness-queries';
import { valuesOf } from '../../shared/copy/value-copy';
import { whyWords } from './why-copy';

/** Reps of a drill, or of one of its sides, in the order they were flown. */
const repsOf = (reps: readonly RecordedRep[], { drillId, side }: Pick<Chart, 'drillId' | 'side'>) =>
  reps.filter((rep) => rep.drillId === drillId && rep.side === side).sort(flownOrder);

function Charts({ page, worked }: { readonly page: WeaknessPage; readonly worked: WorkedOut }) {
  const { charts } = worked.clearance;
  const [picked, setPicked] = useState<string | null>(null);
  const behind = charts.find((chart) => chart.curve.reachedAt === null) ?? charts[0];
  const shown = charts.find((chart) => chartName(chart) === picked) ?? behind;
  if (!shown) return null;
  const most = Math.max(...charts.map((chart) => chart.curve.reps));
  const stuck = charts.filter(
    (chart) => chart.curve.reachedAt === null && chart.curve.reps >= page.rule.plannedReps,
  );
  return (
    <Part heading={gathersEvidence(page.rule) ? 'Evidence' : 'Learning curve'}>
      {stuck.length > 0 ? (
        <Note icon="pause-circle" heading={`${page.rule.plannedReps} test reps and not there`}>
          {`Stop and change something: an easier step first, calmer air, other words. Going on only gives luck more tries. (${stuck.map(chartName).join('; ')})`}
        </Note>
      ) : null}
      {charts.length > 1 ? (
        <Choice
          label="Chart"
          value={chartName(shown)}
          onChange={setPicked}
          options={charts.map((chart) => ({
            value: chartName(chart),
            label: `${chartName(chart)}${chart.curve.reachedAt === null ? '' : ' (passed)'}`,
          }))}
        />
      ) : null}
      <CurveChart
        curve={shown.curve}
        name={chartName(shown)}
        sentence={curveSentence(shown, page.rule)}
        named={charts.length === 1}
      />
      <ValueChart drillId={shown.drillId} reps={valuesOf(repsOf(worked.reps, shown))} />
      <AbilityPicture drillId={shown.drillId} reps={worked.reps} />
      {most === 0 ? <WhatItTakes rule={page.rule} clearance={worked.clearance} /> : null}
      <AtThisRate rule={page.rule} worked={worked} />
      <HowSure rule={page.rule} mostReps={most} />
    </Part>
  );
}

function Plan({ page, worked }: { readonly page: WeaknessPage; readonly worked: WorkedOut }) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const { keyDrills: key, pilot, causeId } = worked.facts;
  const beside = { causeId, mode: pilot.mode, key };
  // Practice of any kind before the check would move it.
  const first =
    nextStep(worked.clearance, todayHere()).do === 'drill'
      ? (worked.drillIds.find((id) => drillOf(id).simulator === 'first') ??
        worked.drillIds.find((id) => isFlownHere(drillOf(id))))
      : undefined;
  return (
    <Part
      heading="Drill plan"
      end={<LinkButton kind="quiet" label="Change" href={`/weakness/${page.weakness.id}/plan`} />}
    >
      <Rows>
        {worked.drillIds.map((id, i) => (
          <LinkRow
            key={id}
            href={`/weakness/${page.weakness.id}/reps?drill=${id}`}
            title={`${i + 1}. ${drillOf(id).name}`}
            under={sentence(whyWords(id, beside, page.known, drillOf))}
            after={
              drillOf(id).sticks.length > 0 ? (
                <StickPlate
                  layout={page.pilot.stickLayout}
                  moves={drillOf(id).sticks}
                  width={38}
                  names={false}
                />
              ) : undefined
            }
          />
        ))}
      </Rows>
      {first ? (
        <SimulatorLink
          drill={drillOf(first)}
          label={`Fly no. ${worked.drillIds.indexOf(first) + 1} on the simulator first`}
          with={{ pilot: page.pilot.id, weakness: page.weakness.id }}
        />
      ) : null}
    </Part>
  );
}

/** What goes against the usual course, each with its reason. */
function OutOfTheOrdinary({ page, worked }: { readonly page: WeaknessPage; readonly worked: WorkedOut }) {
  const move = useMove(page);
  const signedOrClosed = lastSignature(page.moves);
  const error = move.error?.message ?? null;
  const { state, check } = worked.clearance;
  return (
    <View style={{ gap: 4 }}>
      {isOpen(state) && !check?.passed ? (
        <ReasonForm
          open="Sign early, before every step is met"
          question="Why is it safe to sign now? This shows on the record."
          act="Sign early"
          busy={move.isPending}
          error={error}
          onGive={(reason) => move.mutate({ kind: 'signed-early', reason })}
        />
      ) : null}
      {signedOrClosed ? (
        <ReasonForm
          open={signedOrClosed.kind === 'closed' ? 'Undo the closing' : 'Undo the signature'}
          question="Why is it undone?"
          act="Undo"
          busy={move.isPending}
          error={error}
          onGive={(reason) => move.mutate({ kind: 'undone', undoes: signedOrClosed.id, reason })}
        />
      ) : null}
      {state === 'ready-for-check' && !check?.passed ? (
        <LinkButton
          kind="quiet"
          label="Practise anyway (moves the check)"
          href={`/weakness/${page.weakness.id}/reps`}
        />
      ) : null}
    </View>
  );
}

/** What was shown once and no longer stands. */
function WhatDidNotLast({
  page,
  clearance,
  restricted,
}: {
  readonly page: WeaknessPage;
  readonly clearance: Clearance;
  readonly restricted: boolean;
}) {
  return (
    <>
      {clearance.isUnproven ? (
        <Note icon="alert-triangle" heading="Signed, and no longer shown">
          Entries that came in later take away what it stood on: fly the check, or undo the signature.
        </Note>
      ) : null}
      {clearance.relapsed ? (
        <Note icon="rotate-ccw" heading="Called back">
          {isFirstEdition(page.rule)
            ? 'Tests and checks on watch were missed more often than luck explains: the test starts again.'
            : 'Two checks on watch failed: it has to be shown again, from the evidence there is.'}
        </Note>
      ) : null}
      {clearance.failedChecks > 0 && restricted ? (
        <Note icon="rotate-ccw" heading="The check was not kept">
          {isFirstEdition(page.rule)
            ? 'The test starts again from nothing: what was shown before did not last.'
            : 'The test is open again where something was missed, with the evidence it has left.'}
        </Note>
      ) : null}
    </>
  );
}

/** What a pilot takes along of a weakness that was cleared by the rule. */
function ClearedFile({ page, clearance }: { readonly page: WeaknessPage; readonly clearance: Clearance }) {
  const isCleared = clearance.state === 'watch' || clearance.state === 'closed';
  if (!isCleared || clearance.signedEarly) return null;
  return (
    <May right="take-out">
      <FileButton
        kind="quiet"
        icon="award"
        label="Cleared, signed by the school (PDF)"
        address={`/weaknesses/${page.weakness.id}/cleared.pdf`}
        name="cleared.pdf"
      />
    </May>
  );
}

function WeaknessOf({ page }: { readonly page: WeaknessPage }) {
  const worked = useWorkedOut(page);
  const { clearance } = worked;
  const cause = causeWords(page.weakness.causeId);
  const next = nextStep(clearance, todayHere());
  const restricted = restricts({ state: clearance.state, limited: clearance.watch?.limited ?? false });
  return (
    <Screen
      title={cause.name}
      under={`${page.pilot.name} · ${STATE_WORDS[clearance.state]}${clearance.signedEarly ? ', signed early' : ''}`}
      up="/"
      foot={<WeaknessFoot page={page} next={next} onWatch={clearance.state === 'watch'} />}
      aside={
        <>
          {clearance.watch ? (
            <OnWatch watch={clearance.watch} rule={page.rule} />
          ) : (
            <Charts page={page} worked={worked} />
          )}
          {clearance.state === 'withdrawn' ? null : (
            <Part heading="Sides and winds">
              <CoverageGrid clearance={clearance} />
            </Part>
          )}
          <Part heading="In the moment">
            <Words>{cause.respond[onReleaseIn(page.pilot.mode)]}</Words>
            <Words as="soft">{`Anyone in the way ends the discussion: give up the craft. ${STANDING_LINE}`}</Words>
          </Part>
          <Part heading="History">
            <History page={page} />
          </Part>
        </>
      }
    >
      <WaitingNote />
      {restricted ? (
        <Note icon="slash" heading="Until cleared">
          {untilCleared(page.weakness.causeId)}
        </Note>
      ) : null}
      <PilotsWord page={page} />
      <WhatDidNotLast page={page} clearance={clearance} restricted={restricted} />
      <OtherwiseNow page={page} worked={worked} />
      <LargeLadder
        rungs={clearance.rungs.map((rung) => ({ ...rung, words: rungWords(rung.id, clearance, page.rule) }))}
      />
      <Plan page={page} worked={worked} />
      <LinkButton
        kind="quiet"
        icon="file-text"
        label="Sign-off sheet"
        href={`/weakness/${page.weakness.id}/sheet`}
      />
      <ClearedFile page={page} clearance={clearance} />
      <OutOfTheOrdinary page={page} worked={worked} />
    </Screen>
  );
}

export function WeaknessScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = useWeakness(id);
  return (
    <Loaded query={query} title="Weakness" up="/">
      {(page) => <WeaknessOf page={page} />}
    </Loaded>
  );
}
