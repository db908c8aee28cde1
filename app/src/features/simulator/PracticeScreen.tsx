import { messageWords } from '@skelby/copy/say';
import { looksAlong } from '@skelby/core/simulator/sensors';
import { courseFlown } from '@skelby/core/assessment/exercises';
import { useDrills } from '../../shared/api/use-drills';
import { SIDES } from '@skelby/core/drills/drill';
import type { WordedDrill } from '@skelby/copy/drills';
import { isDrillId, type DrillId } from '@skelby/core/drills/drills';
import { type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { FLIGHT_MODES, STICK_LAYOUTS } from '@skelby/core/vocabulary/flying';
import {
  craftAsText,
  craftFromText,
  linkSearch,
  type PracticeLink,
  practiceLinkShape,
} from '@skelby/core/schemas/practice-link';
import { type Href, useLocalSearchParams } from 'expo-router';
import { type ComponentProps, useMemo, useState } from 'react';
import { ValidationError } from 'yup';
import { useRoster } from '../../offline/overlay/use-roster';
import { LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { STANDING_LINE } from '../../shared/copy/copy';
import { AllChoices } from './AllChoices';
import { closenessOf } from './bests';
import { ControllerPart } from './ControllerPart';
import { Fly } from './Fly';
import { drillKind, useGhostOf } from './use-ghost-of';
import { LogPart } from './LogPart';
import { PassOn } from './PassOn';
import { RecordedNote, useRecorded } from './record';
import { type DrillSetUp, flightFrom, linkFrom, type PracticeSettings, sensorsOf, setAnew } from './settings';
import { useTilt } from './tilt';
import { useChosen, usePracticeSettings, type WhoFlies } from './use-practice';

interface PracticeProps {
  readonly drill: WordedDrill<DrillId>;
  readonly link: PracticeLink;
  readonly up: Href | undefined;
  readonly crafts: readonly (CraftRecord & { readonly id: string; readonly name: string })[];
  readonly who: WhoFlies;
  /** The weakness that reps flown here belong to. */
  readonly weaknessId: string | null;
  /** The pilot's own link, which finds the weakness by itself. */
  readonly token: string | null;
  readonly purpose: 'practice' | 'test';
}

function NotHere({ name, up }: { readonly name: string; readonly up: Href | undefined }) {
  return (
    <Screen title="Simulator" under={name} up={up ?? '/drills'}>
      <Note icon="slash" heading="Not here">
        This drill is not flown with the sticks, or not on a simulator.
      </Note>
    </Screen>
  );
}

/** The drill to be flown, where the craft has what it is about. */
function FlyHere(fly: ComponentProps<typeof Fly>) {
  const { course, settings, craft } = fly;
  return course.needsSensors && !(settings.sensors && looksAlong(sensorsOf(craft))) ? (
    <Note icon="slash" heading="Nothing to find out">
      This craft carries no sensors that look ahead, behind or aside, or they are switched off. Choose one
      that does.
    </Note>
  ) : (
    <Fly {...fly} />
  );
}

interface FlownProps {
  readonly drill: WordedDrill<DrillId>;
  readonly settings: PracticeSettings | null;
  readonly set: DrillSetUp | null;
  readonly craft: CraftRecord;
  readonly isTest: boolean;
}

/** The drill as it is flown now, and what is flown after in it; null where it is not flown here. */
function useFlown(
  { drill, settings, set, craft, isTest }: FlownProps,
  { ghost, craftId }: ReturnType<typeof useChosen>['chosen'],
) {
  const walks = settings?.walks ?? false;
  const course = useMemo(() => (set ? courseFlown(set.course, walks) : null), [set, walks]);
  const scene = useMemo(
    () => settings && set && flightFrom(drill.id, settings, set, craft).scene,
    [drill.id, settings, set, craft],
  );
  const drawn = useGhostOf(ghost, course, drillKind(drill, settings, craftId));
  // What is tested is shown without help.
  return { course, scene, ghost: isTest ? { ...drawn, path: null } : drawn };
}

function Practice({ drill, link, up, crafts, who, weaknessId, token, purpose }: PracticeProps) {
  const { chosen, choose } = useChosen(who);
  const linked = link.craft ? craftFromText(link.craft) : null;
  const craft: CraftRecord = linked ?? crafts.find((each) => each.id === chosen.craftId) ?? USUAL_CRAFT;
  const { usual, settings, set, change } = usePracticeSettings(drill, link, who.mode ?? craft.mode);
  const tilt = useTilt();
  const [isWhole, setWhole] = useState(false);
  const recorded = useRecorded({ weaknessId, token, drill, settings, purpose });
  const isTest = purpose === 'test';
  const { course, scene, ghost } = useFlown({ drill, settings, set, craft, isTest }, chosen);
  if (!settings || !set || !usual || !scene || !course) return <NotHere name={drill.name} up={up} />;
  const search = linkSearch(
    drill.id,
    linkFrom(settings, drill, usual, craft === USUAL_CRAFT ? null : craftAsText(craft)),
  );
  const choices = (
    <AllChoices
      {...{ chosen, choose, drill, settings, craft, tilt }}
      hasBest={isTest ? null : ghost.best !== null}
      crafts={linked ? [] : crafts}
      onChange={change}
    />
  );
  return (
    <Screen
      title="Simulator"
      under={drill.name}
      {...(up ? { up } : {})}
      aside={
        <>
          {isWhole ? null : choices}
          <ControllerPart />
          <LogPart
            drill={drill}
            course={course}
            side={settings.side}
            craft={craft}
            scene={scene}
            marks={set.setUp.marks}
            layout={chosen.layout}
            cameraDeg={settings.cameraDeg}
          />
          <PassOn search={search} />
          <Words as="soft">{STANDING_LINE}</Words>
        </>
      }
    >
      <FlyHere
        key={setAnew(settings, craft)}
        drill={drill}
        course={course}
        setUp={set.setUp}
        craft={craft}
        settings={settings}
        layout={chosen.layout}
        tilt={tilt}
        volume={chosen.volume}
        onRelative={(relative) => change({ relative })}
        ghost={ghost.path}
        onScored={(scored) => {
          recorded.record(scored);
          const closeness = closenessOf(scored.score);
          if (closeness !== null && !scored.unlike) ghost.keep(closeness, scored.replay);
        }}
        recorded={<RecordedNote recorded={recorded} />}
        choices={choices}
        onWhole={setWhole}
      />
    </Screen>
  );
}

/** The link's own words on how it is set up; an error where it says what cannot be. */
function useLink(): PracticeLink | string {
  const params = useLocalSearchParams<Record<string, string>>();
  const text = JSON.stringify(params);
  return useMemo(() => {
    try {
      return practiceLinkShape.validateSync(JSON.parse(text), { stripUnknown: true });
    } catch (error) {
      if (error instanceof ValidationError) return error.errors.map((each) => messageWords(each)).join(' ');
      throw error;
    }
  }, [text]);
}

function Broken({ up, children }: { readonly up?: Href; readonly children: string }) {
  return (
    <Screen title="Simulator" {...(up ? { up } : {})}>
      <Note icon="help-circle" heading="This link does not lead to a drill">
        {children}
      </Note>
      <LinkButton label="To the drills" href="/drills" />
    </Screen>
  );
}

/** From within the school: its craft, its pilot's sticks, and reps that go to the weakness. */
export function PracticeScreen() {
  const { drillOf } = useDrills();
  const { id, pilot, weakness, purpose, session } = useLocalSearchParams<{
    id: string;
    pilot?: string;
    weakness?: string;
    purpose?: string;
    session?: string;
  }>();
  const link = useLink();
  const roster = useRoster().data;
  if (!isDrillId(id))
    return (
      <Screen title="Simulator" up="/drills">
        <Note icon="help-circle" heading="Not here">
          There is no such drill.
        </Note>
      </Screen>
    );
  if (typeof link === 'string') return <Broken up={`/drills/${id}`}>{link}</Broken>;
  const drill = drillOf(id);
  if (link.side && !drill.sides.includes(link.side))
    return <Broken up={`/drills/${id}`}>{`${drill.name} has no side “${link.side}”.`}</Broken>;
  const whose = roster?.pilots.find((each) => each.id === pilot);
  return (
    <Practice
      key={`${id} ${whose?.id ?? ''}`}
      drill={drill}
      link={link}
      up={session ? `/session/${session}` : weakness ? `/weakness/${weakness}` : `/drills/${id}`}
      crafts={roster?.craft ?? []}
      who={whose ? { layout: whose.stickLayout, mode: whose.mode } : {}}
      weaknessId={weakness ?? null}
      token={null}
      purpose={purpose === 'test' ? 'test' : 'practice'}
    />
  );
}

/**
 * By a link that was passed on, without an account. What stands behind the # is the pilot's own link, and
 * makes the reps count as practice.
 */
export function LinkedPractice() {
  const { drillOf } = useDrills();
  const {
    drill: id = '',
    layout,
    flies,
  } = useLocalSearchParams<{ drill?: string; layout?: string; flies?: string }>();
  const [token] = useState(() => window.location.hash.slice(1));
  const link = useLink();
  if (!isDrillId(id)) return <Broken>There is no such drill. Ask for the link again.</Broken>;
  if (typeof link === 'string') return <Broken>{link}</Broken>;
  const drill = drillOf(id);
  if (link.side && !SIDES.some((side) => side === link.side && drill.sides.includes(side)))
    return <Broken>{`${drill.name} has no side “${link.side}”.`}</Broken>;
  const sticks = STICK_LAYOUTS.find((each) => each === Number(layout));
  const mode = FLIGHT_MODES.find((each) => each === flies);
  return (
    <Practice
      key={id}
      drill={drill}
      link={link}
      up={undefined}
      crafts={[]}
      who={{ ...(sticks ? { layout: sticks } : {}), ...(mode ? { mode } : {}) }}
      weaknessId={null}
      token={token || null}
      purpose="practice"
    />
  );
}
