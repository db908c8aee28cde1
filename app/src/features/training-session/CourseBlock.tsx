import { atLevel } from '@skelby/copy/levels';
import { factsThatStand } from '@skelby/core/course/course-standing';
import { courseOfPilot } from '@skelby/core/course/of-pilot';
import type { PilotPage } from '@skelby/core/pages/pages';
import { windBandOf } from '@skelby/core/vocabulary/wind-band';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { tellCourse } from '../../offline/outbox/course';
import { usePilot } from '../../offline/overlay/pilot-queries';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { partName, partWords } from '../../shared/copy/course-copy';
import { StickPlate } from '../../shared/drawing';
import { beginLog, forPilot } from '../../shared/forms/log-draft';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Screen } from '../../shared/ui/Screen';
import { aloud, flownAloud } from '../../shared/verdicts/aloud';
import { HandsFreeChoice } from '../../shared/verdicts/HandsFreeChoice';
import { VerdictFoot } from '../../shared/verdicts/Verdicts';
import { Words } from '../../shared/ui/Words';
import type { BlockProps } from './use-block';
import { NotNow } from './NotNow';

type CourseBlockProps = Omit<BlockProps, 'page'> & { readonly pilotPage: PilotPage };

/** Attempts at this drill and side since the session went, the newest first. */
const flownIn = ({ pilotPage: { course = [] }, session, block }: CourseBlockProps) =>
  factsThatStand(course)
    .filter(
      ({ kind, drillId, side, at }) =>
        kind !== 'shown' &&
        drillId === block.drillId &&
        side === block.side &&
        at >= (session.content.goNoGo?.at ?? session.content.day),
    )
    .reverse();

function Foot(props: CourseBlockProps) {
  const { block, session, roster, state, change } = props;
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const router = useRouter();
  const drill = drillOf(block.drillId);
  const [last] = flownIn(props);
  const tell = (told: Parameters<typeof tellCourse>[2]) => tellCourse(block.pilotId, block, told);
  const log = () => {
    const pilot = roster.pilots.find(({ id }) => id === block.pilotId);
    const { windMps, siteId } = session.content;
    beginLog({
      ...(pilot ? forPilot(pilot) : {}),
      ...{ pilotId: block.pilotId, windMps, siteId, note: `In ${drill.name}, for the course.` },
    });
    router.push('/log/kind');
  };
  return (
    <VerdictFoot
      drill={drill}
      task={aloud(partName(block), sentence(atLevel(drill, 0, false).asks), drill.caution)}
      standing={flownAloud(flownIn(props), block.reps)}
      level={0}
      lastAt={last?.at ?? null}
      waits={state}
      change={change}
      record={(met, missReason, at) => {
        tell({ met, missReason, at, band: windBandOf(session.content.windMps) });
        change({ missedAt: null, soonAt: null });
      }}
      around={
        <ButtonRow>
          <Button kind="main" label="Crash or near-miss" onPress={log} />
          {last ? (
            <Button
              label="Undo"
              says={`Undo last: ${last.met ? 'met' : 'missed'}`}
              onPress={() =>
                tell({ kind: 'taken-back', factId: last.id, met: last.met, reason: 'Undone in the session' })
              }
            />
          ) : null}
        </ButtonRow>
      }
      first={null}
    />
  );
}

function CourseBlockScreen(props: CourseBlockProps) {
  const { session, block, pilotPage, state, isLast, onNext, onBack } = props;
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const drill = drillOf(block.drillId);
  const part = courseOfPilot(pilotPage)
    .lessons.flatMap(({ parts }) => parts)
    .find(({ drillId, side }) => drillId === block.drillId && side === block.side);
  const flown = flownIn(props);
  const isEnough = flown.length >= block.reps || part?.shownBy !== null;
  return (
    <Screen
      title={partName(block)}
      under={`${pilotPage.pilot.name} · pack ${state.pack + 1} of ${session.content.packs.length}`}
      up="/session"
      end={<Button kind={isEnough ? 'solid' : 'plain'} label={isLast ? 'End' : 'Next'} onPress={onNext} />}
      foot={<Foot {...props} />}
    >
      <NotNow {...props} />
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <Words as="heading" style={{ flex: 1 }}>
          {sentence(atLevel(drill, 0, false).asks)}
        </Words>
        {drill.sticks.length > 0 ? (
          <StickPlate layout={pilotPage.pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
        ) : null}
      </View>
      <Words as="figure" role="status">
        {`${flown.length} of ${block.reps} · ${flown.filter(({ met }) => met).length} met`}
      </Words>
      {part ? <Words as="strong">{`For the course. ${partWords(part)}.`}</Words> : null}
      {isEnough ? <Words as="soft">That is the block: rest the hands, then on.</Words> : null}
      {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
      <HandsFreeChoice />
      {onBack ? (
        <Button kind="quiet" icon="corner-up-left" label="Back to the drill before" onPress={onBack} />
      ) : null}
    </Screen>
  );
}

/** A block of a session that is flown for the course, once its pilot is read. */
export function CourseBlock(props: Omit<BlockProps, 'page'>) {
  const query = usePilot(props.block.pilotId);
  return (
    <Loaded query={query} title={partName(props.block)} up="/session">
      {(pilotPage) => <CourseBlockScreen {...props} pilotPage={pilotPage} />}
    </Loaded>
  );
}
