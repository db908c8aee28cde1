import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { PRE_LANDING } from '@skelby/copy/pre-landing';
import { reserveOf } from '@skelby/core/restrictions/restrictions';
import { useState } from 'react';
import { View } from 'react-native';
import { useWeakness } from '../../offline/overlay/weakness-queries';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { MODE_WORDS, PURPOSE_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { valuesLine, valuesOf, measuredWords } from '../../shared/copy/value-copy';
import { StickPlate } from '../../shared/drawing';
import { AnnouncedLine, AnnounceFoot } from '../../offline/ui/Announce';
import { DistanceChoice } from '../../shared/forms/DistanceChoice';
import { CaseCard } from '../../shared/forms/CaseCard';
import { ValueEntry } from '../../shared/forms/ValueEntry';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { SimulatorLink } from '../../shared/ui/SimulatorLink';
import { aloud, flownAloud } from '../../shared/verdicts/aloud';
import { HandsFreeChoice } from '../../shared/verdicts/HandsFreeChoice';
import { VerdictFoot } from '../../shared/verdicts/Verdicts';
import { Words } from '../../shared/ui/Words';
import { USUAL_RESERVE_PERCENT } from './session-checks';
import { Metronome, PackTimer, RepTimer } from './Timers';
import { CourseBlock } from './CourseBlock';
import { NotNow } from './NotNow';
import { type BlockProps, type FlyingBlock, useBlock } from './use-block';
import { useWakeLock } from './use-wake-lock';

/** Three buttons in one row of a phone, room for the thumb above them. */
const NARROW = { paddingHorizontal: 10 };

interface PartProps {
  readonly props: BlockProps;
  readonly flying: FlyingBlock;
}

/** Met or missed under the thumb. */
function Foot({ props: { block, state, change }, flying }: PartProps) {
  const { units, sentence } = useUnits();
  const { last, undo, announced } = flying;
  const said = (rep: NonNullable<FlyingBlock['last']>) =>
    [rep.met ? 'met' : 'missed', measuredWords(rep.drillId, rep.measure, units)].filter(Boolean).join(', ');
  return (
    <VerdictFoot
      drill={flying.drill}
      task={aloud(
        flying.drill.name,
        block.side && SIDE_WORDS[block.side],
        PURPOSE_WORDS[block.purpose],
        sentence(flying.asked.asks),
        flying.drill.caution,
      )}
      standing={flownAloud(flying.flown, block.reps)}
      level={block.level}
      lastAt={flying.lastAt}
      waits={state}
      change={change}
      record={flying.record}
      around={
        <>
          <ButtonRow>
            <Button kind="main" style={NARROW} label="Crash or near-miss" onPress={flying.logOccurrence} />
            {last ? (
              <Button
                style={NARROW}
                label="Undo"
                says={`Undo last: ${said(last)}`}
                onPress={() => undo(last)}
              />
            ) : null}
          </ButtonRow>
          <AnnouncedLine announced={announced} />
        </>
      }
      first={
        announced.isWanted || announced.elsewhere ? (
          <AnnounceFoot announced={announced} left={Math.min(flying.left ?? block.reps, block.reps)} />
        ) : null
      }
    />
  );
}

/** What is flown, and how far it is. */
function Task({ props: { block, page, workOn }, flying }: PartProps) {
  const { sentence, units, sayM } = useUnits();
  const { drill, asked, setUp, flown, met, isEnough, counts, otherMode } = flying;
  const values = valuesLine(drill.id, valuesOf(flown), units);
  return (
    <>
      {workOn ? (
        <Note icon="eye" heading="Working on">
          {workOn}
        </Note>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <View style={{ flex: 1, gap: 4 }}>
          <Words as="heading">{sentence(asked.asks)}</Words>
          <Words as="strong">
            {[
              `${PURPOSE_WORDS[block.purpose]}, ${asked.named}`,
              setUp.widthSpans ? `${setUp.widthSpans} spans` : null,
              setUp.distanceM ? `${sayM(setUp.distanceM)} away` : null,
              block.side ? SIDE_WORDS[block.side] : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
        {drill.sticks.length > 0 ? (
          <StickPlate layout={page.pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
        ) : null}
      </View>
      <Words as="figure" role="status">{`${flown.length} of ${block.reps} · ${met} met`}</Words>
      {values ? <Words as="soft">{values}</Words> : null}
      {isEnough ? <Words as="soft">That is the block: rest the hands, then on.</Words> : null}
      {isEnough ? <Words as="soft">{PRE_LANDING}</Words> : null}
      {otherMode ? (
        <Note icon="git-commit">{`Flown in ${MODE_WORDS[otherMode].toLowerCase()}: switch over before it, and back after.`}</Note>
      ) : null}
      {counts ? null : (
        <Note icon="alert-triangle">
          Recorded, but it will not count: this mode is not the one the pilot has to show it in.
        </Note>
      )}
      {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
      {flying.drawn ? <CaseCard drawn={flying.drawn} /> : null}
    </>
  );
}

/** Timers, and the value of the rep that comes next. */
function Tools({ props: { session, state, change }, flying: { drill, setUp, open } }: PartProps) {
  const awake = useWakeLock();
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}>
        <PackTimer
          startedAt={state.packStartedAt}
          minutes={session.content.packMinutes}
          reservePercent={reserveOf(open, USUAL_RESERVE_PERCENT)}
          onStart={() => change({ packStartedAt: Date.now() })}
        />
        <RepTimer
          onTime={(seconds) => {
            if (RECORDED_VALUES[drill.id]?.unit === 's') change({ measure: seconds });
          }}
        />
        <Metronome />
      </View>
      <DistanceChoice
        drill={drill}
        distanceM={setUp.distanceM}
        onChange={(distanceM) => change({ distanceM })}
      />
      <ValueEntry drillId={drill.id} value={state.measure} onChange={(value) => change({ measure: value })} />
      <HandsFreeChoice />
      {awake ? null : <Words as="soft">This phone may go dark: keep its screen on in its settings.</Words>}
    </>
  );
}

interface LeavingProps {
  readonly props: BlockProps;
  readonly flying: FlyingBlock;
  readonly onStay: () => void;
}

/** Before a block is left with reps still to fly. */
function Leaving({ props: { block, isLast, onNext }, flying: { flown }, onStay }: LeavingProps) {
  return (
    <Note
      icon="help-circle"
      heading={`${flown.length} of ${block.reps} flown. ${isLast ? 'End' : 'Go on'} all the same?`}
    >
      <ButtonRow>
        <Button kind="solid" label="Stay" onPress={onStay} />
        <Button label={isLast ? 'End it' : 'Go on'} onPress={onNext} />
      </ButtonRow>
    </Note>
  );
}

/** One drill on the screen: the standard, the plate, met or missed. */
function BlockScreen(props: BlockProps) {
  const { session, block, page, state } = props;
  const flying = useBlock(props);
  const { drill, isEnough } = flying;
  const [leaving, setLeaving] = useState(false);
  return (
    <Screen
      title={drill.name}
      under={`${page.pilot.name} · pack ${state.pack + 1} of ${session.content.packs.length}`}
      up="/session"
      topic={leaving ? 'leaving' : 'flying'}
      end={
        <Button
          kind={isEnough ? 'solid' : 'plain'}
          label={props.isLast ? 'End' : 'Next'}
          onPress={isEnough ? props.onNext : () => setLeaving(true)}
        />
      }
      foot={<Foot props={props} flying={flying} />}
    >
      {leaving && !isEnough ? (
        <Leaving props={props} flying={flying} onStay={() => setLeaving(false)} />
      ) : null}
      <WaitingNote brief />
      <NotNow {...props} />
      <Task props={props} flying={flying} />
      <Tools props={props} flying={flying} />
      {props.onBack ? (
        <Button kind="quiet" icon="corner-up-left" label="Back to the drill before" onPress={props.onBack} />
      ) : null}
      <LinkButton
        kind="quiet"
        icon="life-buoy"
        label="Just crashed? The first ten minutes"
        href={`/first-minutes${session.content.siteId ? `?site=${session.content.siteId}` : ''}`}
      />
      <LinkButton
        kind="quiet"
        icon="play-circle"
        label="See it flown"
        href={`/drills/${drill.id}?pilot=${block.pilotId}`}
      />
      {block.purpose === 'check' ? null : (
        <SimulatorLink
          drill={drill}
          label="Fly it on the simulator"
          with={{
            pilot: block.pilotId,
            weakness: page.weakness.id,
            purpose: block.purpose,
            side: block.side,
            session: session.id,
          }}
        />
      )}
    </Screen>
  );
}

/** A block for a weakness, once that is read. */
function BlockOfWeakness({
  weaknessId,
  ...props
}: Omit<BlockProps, 'page'> & { readonly weaknessId: string }) {
  const { drillOf } = useDrills();
  const query = useWeakness(weaknessId);
  return (
    <Loaded query={query} title={drillOf(props.block.drillId).name} up="/session">
      {(page) => <BlockScreen {...props} page={page} />}
    </Loaded>
  );
}

/** One block of a session: for a weakness, or for the course. */
export function OneBlock(props: Omit<BlockProps, 'page'>) {
  const { weaknessId } = props.block;
  return weaknessId === null ? (
    <CourseBlock {...props} />
  ) : (
    <BlockOfWeakness {...props} weaknessId={weaknessId} />
  );
}
