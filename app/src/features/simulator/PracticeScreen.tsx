import { messageWords } from '@skelby/copy/say';
import { looksAlong } from '@skelby/core/simulator/sensors';
import { courseFlown } from '@skelby/core/assessment/exercises';
import { useDrills } from '../../shared/api/use-drills';
import { SIDES } from '@skelby/core/drills/drill';
import type { WordedDrill } from '@skelby/copy/drills';
import { isDrillId, type DrillId } from '@skelby/core/drills/drills';
import { type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import {
  FLIGHT_MODES,
  type FlightMode,
  STICK_LAYOUTS,
  type StickLayout,
} from '@skelby/core/vocabulary/flying';
import {
  craftAsText,
  craftFromText,
  linkSearch,
  type PracticeLink,
  practiceLinkShape,
} from '@skelby/core/schemas/practice-link';
import { type Href, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { ValidationError } from 'yup';
import { useRoster } from '../../offline/overlay/use-roster';
import { keep, kept } from '../../shared/storage/storage';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Part, Screen } from '../../shared/ui/Screen';
import { usePassOn } from '../../shared/ui/use-pass-on';
import { Words } from '../../shared/ui/Words';
import { STANDING_LINE } from '../../shared/copy/copy';
import { ControllerPart } from './ControllerPart';
import { Fly } from './Fly';
import { LogPart } from './LogPart';
import { PracticeChoices } from './PracticeChoices';
import { RecordedNote, useRecorded } from './record';
import {
  drillSetUp,
  flightFrom,
  linkFrom,
  sensorsOf,
  type PracticeSettings,
  setAnew,
  settingsFrom,
} from './settings';
import { useTilt } from './tilt';

const NAME = 'practice.chosen';
/** What stays from one practice to the next on this device. */
interface Chosen {
  readonly craftId: string | null;
  readonly layout: StickLayout;
}
const BEFORE: Chosen = { craftId: null, layout: 2 };

interface WhoFlies {
  readonly layout?: StickLayout;
  readonly mode?: FlightMode;
}

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

/** Passes on how it is set up: the link opens the same drill for anybody, without an account. */
function PassOn({ search }: { readonly search: string }) {
  const { said, pass } = usePassOn('Skelby practice');
  const address = `${window.location.origin}/practice?${search}`;
  return (
    <Part heading="Pass it on">
      <Words as="soft">Opens this drill as it is set here, for whoever has the link.</Words>
      <Words aria-label="Link">{address}</Words>
      <Button icon="share-2" label={said ?? 'Pass on the link'} onPress={() => void pass(address)} />
    </Part>
  );
}

/** Craft and sticks, which stay from one practice to the next on this device. */
function useChosen(who: WhoFlies) {
  const [chosen, setChosen] = useState<Chosen>(() => ({
    ...BEFORE,
    ...kept<Partial<Chosen>>(NAME),
    ...(who.layout ? { layout: who.layout } : {}),
  }));
  const choose = (part: Partial<Chosen>) =>
    setChosen((last) => {
      const next = { ...last, ...part };
      keep(NAME, next);
      return next;
    });
  return { chosen, choose };
}

/** How the drill is flown: as its link says, and as it was changed here; null where it is not flown here. */
function useSettings(drill: WordedDrill<DrillId>, link: PracticeLink, mode: FlightMode) {
  const [changed, setChanged] = useState<Partial<PracticeSettings>>({});
  const usual = useMemo(() => {
    const set = drillSetUp(drill.id, drill.sides[0] ?? null, mode);
    return set && settingsFrom(practiceLinkShape.cast({}), drill, set);
  }, [drill, mode]);
  const settings = useMemo(() => {
    const set = drillSetUp(drill.id, link.side ?? drill.sides[0] ?? null, mode);
    return set && { ...settingsFrom(link, drill, set), ...changed };
  }, [drill, link, mode, changed]);
  const side = settings?.side ?? null;
  const set = useMemo(() => drillSetUp(drill.id, side, mode), [drill.id, side, mode]);
  const change = (part: Partial<PracticeSettings>) => setChanged((last) => ({ ...last, ...part }));
  return { usual, settings, set, change };
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

function Practice({ drill, link, up, crafts, who, weaknessId, token, purpose }: PracticeProps) {
  const { chosen, choose } = useChosen(who);
  const linked = link.craft ? craftFromText(link.craft) : null;
  const craft: CraftRecord = linked ?? crafts.find((each) => each.id === chosen.craftId) ?? USUAL_CRAFT;
  const { usual, settings, set, change } = useSettings(drill, link, who.mode ?? craft.mode);
  const tilt = useTilt();
  const recorded = useRecorded({ weaknessId, token, drill, settings, purpose });
  const scene = useMemo(
    () => settings && set && flightFrom(drill.id, settings, set, craft).scene,
    [drill.id, settings, set, craft],
  );
  if (!settings || !set || !usual || !scene) return <NotHere name={drill.name} up={up} />;
  const { setUp } = set;
  const course = courseFlown(set.course, settings.walks);
  const search = linkSearch(
    drill.id,
    linkFrom(settings, drill, usual, craft === USUAL_CRAFT ? null : craftAsText(craft)),
  );
  return (
    <Screen
      title="Simulator"
      under={drill.name}
      {...(up ? { up } : {})}
      aside={
        <>
          <PracticeChoices
            drill={drill}
            settings={settings}
            craft={craft}
            craftId={chosen.craftId}
            crafts={linked ? [] : crafts}
            layout={chosen.layout}
            tilt={tilt}
            onChange={change}
            onCraft={(craftId) => choose({ craftId })}
            onLayout={(layout) => choose({ layout })}
          />
          <ControllerPart />
          <LogPart
            drill={drill}
            course={course}
            side={settings.side}
            craft={craft}
            scene={scene}
            marks={setUp.marks}
            layout={chosen.layout}
            cameraDeg={settings.cameraDeg}
          />
          <PassOn search={search} />
          <Words as="soft">{STANDING_LINE}</Words>
        </>
      }
    >
      {course.needsSensors && !(settings.sensors && looksAlong(sensorsOf(craft))) ? (
        <Note icon="slash" heading="Nothing to find out">
          This craft carries no sensors that look ahead, behind or aside, or they are switched off. Choose one
          that does.
        </Note>
      ) : (
        <Fly
          key={setAnew(settings, craft)}
          drill={drill}
          course={course}
          setUp={setUp}
          craft={craft}
          settings={settings}
          layout={chosen.layout}
          tilt={tilt}
          onRelative={(relative) => change({ relative })}
          onScored={recorded.record}
          recorded={<RecordedNote recorded={recorded} />}
        />
      )}
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
