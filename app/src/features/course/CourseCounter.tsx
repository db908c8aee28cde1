import { atLevel } from '@skelby/copy/levels';
import { lessonWords } from '@skelby/copy/course';
import { type CoursePart, factsThatStand } from '@skelby/core/course/course-standing';
import type { CourseFact } from '@skelby/core/course/course-facts';
import type { LessonLimits } from '@skelby/core/course/lessons';
import { limitsOfPilot } from '@skelby/core/course/of-pilot';
import { isFlown } from '@skelby/core/drills/drills';
import type { PilotPage } from '@skelby/core/pages/pages';
import { WIND_BANDS, type WindBand } from '@skelby/core/vocabulary/wind-band';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { tellCourse } from '../../offline/outbox/course';
import { usePilot } from '../../offline/overlay/pilot-queries';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { BAND_WORDS } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { StickPlate } from '../../shared/drawing';
import { Choice } from '../../shared/forms/Choice';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { isFlownHere, SimulatorLink } from '../../shared/ui/SimulatorLink';
import { aloud } from '../../shared/verdicts/aloud';
import { HandsFreeChoice } from '../../shared/verdicts/HandsFreeChoice';
import { VerdictFoot } from '../../shared/verdicts/Verdicts';
import { Words } from '../../shared/ui/Words';
import { limitWords, partName, partWords } from '../../shared/copy/course-copy';
import { partHref } from './part-href';
import { useStandingOf } from './use-standing-of';

interface CountingProps {
  readonly page: PilotPage;
  readonly part: CoursePart;
  readonly lessonId: string;
  readonly limits: LessonLimits;
  /** An earlier lesson is not shown yet: it is counted here once it is, or passed by whoever flies already. */
  readonly isLater: boolean;
  /** What is to be shown next; null: nothing is left. */
  readonly next: CoursePart | null;
}

interface SetUp {
  readonly band: WindBand;
  readonly flownOn: CourseFact['flownOn'];
  /** The next attempt is the one test with which somebody who flies already passes. */
  readonly inOneTest: boolean;
  readonly missedAt: string | null;
  readonly soonAt: string | null;
}

const START: SetUp = { band: 'calm', flownOn: 'craft', inOneTest: false, missedAt: null, soonAt: null };

/** Attempts at this part that stand, the newest first. */
const attemptsAt = ({ course = [] }: PilotPage, { drillId, side }: CoursePart): readonly CourseFact[] =>
  factsThatStand(course)
    .filter((fact) => fact.drillId === drillId && fact.side === side && fact.kind !== 'shown')
    .reverse();

function useCourseCounting({ page, part }: CountingProps) {
  const [setUp, set] = useState<SetUp>(() => ({
    ...START,
    flownOn: part.simulatorFirst ? 'simulator' : 'craft',
  }));
  const change = (to: Partial<SetUp>) => set((was) => ({ ...was, ...to }));
  const attempts = attemptsAt(page, part);
  const record = (met: boolean, missReason: CourseFact['missReason'], at: string) => {
    const { band, flownOn, inOneTest } = setUp;
    tellCourse(page.pilot.id, part, {
      ...{ kind: inOneTest ? 'test' : 'rep', met, missReason, at, band, flownOn },
    });
    change({ missedAt: null, soonAt: null, inOneTest: false });
  };
  return { setUp, change, attempts, record };
}

type Counting = ReturnType<typeof useCourseCounting>;

/** Wind, and craft or simulator: nothing of it is asked of what is said on the ground. */
function HowItIsFlown({ part, counting }: { readonly part: CoursePart; readonly counting: Counting }) {
  const { drillOf } = useDrills();
  const { setUp, change } = counting;
  const drill = drillOf(part.drillId);
  if (!isFlown(drill)) return null;
  return (
    <>
      {isFlownHere(drill) ? (
        <Choice
          label="Flown on"
          value={setUp.flownOn}
          onChange={(flownOn) => change({ flownOn, inOneTest: false })}
          options={[
            { value: 'craft' as const, label: 'Craft' },
            { value: 'simulator' as const, label: 'Simulator' },
          ]}
        />
      ) : null}
      {setUp.flownOn === 'craft' ? (
        <Choice
          label="Wind"
          value={setUp.band}
          onChange={(band) => change({ band })}
          options={WIND_BANDS.map((value) => ({ value, label: BAND_WORDS[value] }))}
        />
      ) : null}
    </>
  );
}

/** The two ways of somebody who flies already. */
function FliesAlready({
  page,
  part,
  counting: { setUp, change },
}: {
  readonly page: PilotPage;
  readonly part: CoursePart;
  readonly counting: Counting;
}) {
  if (part.shownBy) return null;
  return (
    <View style={{ gap: 8 }}>
      {part.testSpent || setUp.flownOn === 'simulator' ? null : setUp.inOneTest ? (
        <Note icon="flag" heading="The next attempt is the test">
          <Words>Met: the drill is shown. Missed: the way leads over practice. Tell the pilot.</Words>
          <Button kind="quiet" icon="x" label="Not as a test" onPress={() => change({ inOneTest: false })} />
        </Note>
      ) : (
        <Button
          kind="quiet"
          icon="flag"
          label="Flies it already: one test decides"
          onPress={() => change({ inOneTest: true })}
        />
      )}
      <ReasonForm
        open="Seen before: mark it as shown"
        question="Who saw it, and where?"
        act="It was shown"
        busy={false}
        error={null}
        onGive={(reason) => tellCourse(page.pilot.id, part, { kind: 'shown', reason })}
      />
    </View>
  );
}

/** What can be taken back: the last attempt of today, or that it was seen before. */
function TakeBack({
  page,
  part,
  attempts,
}: {
  readonly page: PilotPage;
  readonly part: CoursePart;
  readonly attempts: readonly CourseFact[];
}) {
  const seen = factsThatStand(page.course ?? []).find(
    ({ kind, drillId, side }) =>
      kind === 'shown' && drillId === part.drillId && (side === part.side || side === null),
  );
  const last = seen ?? attempts.find(({ day }) => day === todayHere());
  if (!last) return null;
  const back = (reason: string) =>
    tellCourse(page.pilot.id, part, {
      ...{ kind: 'taken-back', factId: last.id, met: last.met, flownOn: last.flownOn, reason },
    });
  return (
    <Button
      kind="quiet"
      icon="corner-up-left"
      label={seen ? 'Take back that it was seen before' : `Undo the last: ${last.met ? 'met' : 'missed'}`}
      onPress={() => back(seen ? 'Taken back' : 'Mis-tap')}
    />
  );
}

/** The limits of the lesson, or that it is not its turn. */
function WhatHolds({ part, limits, isLater }: CountingProps) {
  const units = useUnits();
  if (!isLater) return <Words>{limitWords(limits, units)}</Words>;
  return (
    <Note icon="lock">
      {part.testSpent
        ? 'A lesson before it is not shown yet.'
        : 'A lesson before it is not shown yet. Whoever flies already passes it here in one test.'}
    </Note>
  );
}

function CourseCounting(props: CountingProps) {
  const { page, part, lessonId, isLater, next } = props;
  const { drillOf } = useDrills();
  const units = useUnits();
  const router = useRouter();
  const counting = useCourseCounting(props);
  const { setUp, change, attempts, record } = counting;
  const { pilot } = page;
  const drill = drillOf(part.drillId);
  const up = `/pilots/${pilot.id}/course` as const;
  const asked = atLevel(drill, 0, false);
  return (
    <Screen
      title={partName(part)}
      under={`${pilot.name} · ${lessonWords(lessonId).name}`}
      up={up}
      topic={partName(part)}
      foot={
        <VerdictFoot
          drill={drill}
          level={0}
          task={aloud(partName(part), units.sentence(asked.asks), drill.caution)}
          standing={partWords(part)}
          lastAt={attempts[0]?.at ?? null}
          waits={setUp}
          change={change}
          record={record}
          around={<TakeBack page={page} part={part} attempts={attempts} />}
          first={
            (part.shownBy || (isLater && !setUp.inOneTest)) && next ? (
              <Button
                kind="main"
                icon="arrow-right"
                label={`${isLater ? 'First' : 'Next'}: ${partName(next)}`}
                // In the place of this one: back leads to the course, not through every drill before.
                onPress={() => router.replace(partHref(pilot.id, next))}
              />
            ) : null
          }
        />
      }
    >
      <WaitingNote brief />
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <Words as="heading" style={{ flex: 1 }}>
          {units.sentence(asked.asks)}
        </Words>
        {drill.sticks.length > 0 ? (
          <StickPlate layout={pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
        ) : null}
      </View>
      <Words as="strong" role="status">{`${partWords(part)}.`}</Words>
      {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
      <WhatHolds {...props} />
      {part.simulatorFirst && setUp.flownOn === 'craft' ? (
        <Note icon="monitor">
          Once met on the simulator it is flown on the craft; here it comes there first.
        </Note>
      ) : null}
      <HowItIsFlown part={part} counting={counting} />
      <FliesAlready page={page} part={part} counting={counting} />
      <HandsFreeChoice />
      <Words as="soft">{drill.task}</Words>
      <LinkButton
        kind="quiet"
        icon="play-circle"
        label="See it flown"
        href={`/drills/${drill.id}?pilot=${pilot.id}`}
      />
      <SimulatorLink
        drill={drill}
        label="Fly it on the simulator"
        with={{ pilot: pilot.id, side: part.side }}
      />
    </Screen>
  );
}

function CounterOfCourse({ page }: { readonly page: PilotPage }) {
  const { drill, side } = useLocalSearchParams<{ drill: string; side?: string }>();
  const { lessons, now } = useStandingOf(page);
  const all = lessons.flatMap(({ lesson, parts }, nth) =>
    parts.map((part) => ({ lesson, part, isLater: now !== null && nth > now })),
  );
  const at = all.findIndex(({ part }) => part.drillId === drill && part.side === (side ?? null));
  const here = all[at];
  if (!here)
    return (
      <Screen title="Course" up={`/pilots/${page.pilot.id}/course`}>
        <Words>This drill is none of the course.</Words>
      </Screen>
    );
  const open = ({ part }: (typeof all)[number]) => part.shownBy === null;
  const next = here.isLater ? all.find(open) : (all.slice(at + 1).find(open) ?? all.find(open));
  return (
    <CourseCounting
      key={partName(here.part)}
      page={page}
      part={here.part}
      lessonId={here.lesson.id}
      limits={limitsOfPilot(here.lesson, page)}
      isLater={here.isLater}
      next={next?.part ?? null}
    />
  );
}

export function CourseCounter() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = usePilot(id);
  return (
    <Loaded query={query} title="Course" up={`/pilots/${id}/course`}>
      {(page) => <CounterOfCourse page={page} />}
    </Loaded>
  );
}
