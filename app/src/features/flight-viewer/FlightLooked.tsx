import { clockOf } from '../../shared/copy/clock';
import { laidOver } from '@skelby/core/recorded-flight/laid-over';
import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import type { FieldPlace, Placement } from '@skelby/core/recorded-flight/reps/placement';
import type { ShownAgain } from '@skelby/core/recorded-flight/shown-again';
import { pointAt, type Stretch } from '@skelby/core/recorded-flight/stretch';
import { STILL } from '@skelby/core/simulator/gusts-dryden';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import { USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Field, FIELD_PX, type FieldHandle } from '../../shared/field/Field';
import { MomentSlider } from '../../shared/field/MomentSlider';
import { SticksHeld } from '../../shared/field/SticksHeld';
import { type LookedMoment, PACES, useMoment } from '../../shared/field/use-moment';
import { sticksAt, useReplayed } from '../../shared/field/use-replayed';
import { Choice } from '../../shared/forms/Choice';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { pickFile } from '../../shared/ui/pick-file';
import { Words } from '../../shared/ui/Words';
import { ACCEPTED } from './accepted';
import { windFromDegOf } from './event-copy';
import { FlightLanes } from './FlightLanes';
import { FlightPicture } from './FlightPicture';
import type { Looking } from './use-answers';
import type { useLoggingNote } from './use-logging';
import { setUpLines, type SetUpChoice } from './use-set-up';
import type { useFlightFile } from './use-flight-file';
import { type Video, type VideoHandle, VideoPart } from '../../shared/video/VideoPart';

const EMPTY: SimulatedScene = { solids: [], wind: STILL };
const NO_MARKS = [] as const;
const NO_PATH = [] as const;

/** Where nobody wrote down where the pilot stood, m behind where it took off. Common practice: five and more. */
const BEHIND_M = 6;

/** Behind where it began, so that the farthest it came to lies ahead. */
function standsBehind(path: Stretch['path']): FieldPlace {
  const far = path.reduce((most, each) =>
    Math.hypot(each.x, each.y) > Math.hypot(most.x, most.y) ? each : most,
  );
  const away = Math.max(1e-6, Math.hypot(far.x, far.y));
  return { x: (-BEHIND_M * far.x) / away, y: (-BEHIND_M * far.y) / away };
}

interface InFieldProps {
  readonly shown: ShownAgain;
  readonly t: number;
  /** Where the pilot stood; null: nobody marked it. */
  readonly stood: FieldPlace | null;
  /** The whole flight. */
  readonly path: Stretch['path'];
}

/** The part that is looked at, seen from the ground, at the moment that is looked at. */
function FromTheGround({ shown, t, stood, path }: InFieldProps) {
  const { sayM } = useUnits();
  const pilot = useMemo(() => stood ?? standsBehind(path), [stood, path]);
  const field = useRef<FieldHandle>(null);
  const { replay, isLeanKnown, areSticksKnown } = shown;
  const { i } = useReplayed({ field, replay, t, pilot });
  return (
    <View style={{ gap: 8 }}>
      <Field
        ref={field}
        height={FIELD_PX}
        spanM={USUAL_CRAFT.spanM}
        rotors={USUAL_CRAFT.rotors}
        marks={NO_MARKS}
        scene={EMPTY}
        throughCamera={false}
        cameraDeg={0}
        blind={false}
      />
      {areSticksKnown ? <SticksHeld layout={2} size={84} sticks={sticksAt(replay, i)} /> : null}
      <Words as="soft">
        {stood ? 'Seen from where the pilot stood.' : `Seen from ${sayM(BEHIND_M)} behind where it took off.`}
      </Words>
      {isLeanKnown ? null : (
        <Words as="soft">Its lean was not recorded: drawn level, the nose along its way.</Words>
      )}
    </View>
  );
}

/** Where it is at the moment, in figures. */
function MomentFigures({ part, t }: { readonly part: Stretch; readonly t: number }) {
  const { say, sayM } = useUnits();
  const point = pointAt(part.path, t);
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return (
    <Words as="figure">
      {[
        clockOf(t),
        say(tenth(point.speedMps), 'm/s'),
        `${sayM(tenth(Math.hypot(point.x, point.y)))} away`,
        point.z === null ? null : `${sayM(tenth(point.z))} high`,
      ]
        .filter(Boolean)
        .join(' · ')}
    </Words>
  );
}

/** Shorter than this there is nothing nearer to see, s. */
const SHORTEST_S = 2;
const NEARER = 4;

interface LookedProps {
  readonly looking: Looking;
  readonly view: FlightView;
  readonly part: Stretch;
  readonly looked: number | null;
  readonly setUp: SetUpChoice;
  /** Makes an entry of what was seen in a video; null: whoever looks may not log. */
  readonly onLogNote: ReturnType<typeof useLoggingNote>;
  /** Another flight, laid over this one. */
  readonly other: ReturnType<typeof useFlightFile>;
  /** Where the drill was put that it is judged as; null: nowhere. */
  readonly judgedAt: Placement | null;
  readonly video: Video;
}

function LookButtons({
  looking,
  view,
  part,
  moment,
}: Pick<LookedProps, 'looking' | 'view' | 'part'> & { readonly moment: LookedMoment }) {
  const { fromS, toS } = part;
  const long = toS - fromS;
  const nearer = () => {
    const half = Math.max(SHORTEST_S, long / NEARER) / 2;
    const middle = Math.min(view.lastsS - half, Math.max(half, moment.t));
    looking.look(Math.max(0, middle - half), Math.min(view.lastsS, middle + half));
  };
  const isWhole = long >= view.lastsS - 1e-6;
  return (
    <>
      <ButtonRow>
        <Button
          icon={moment.plays ? 'pause' : 'play'}
          label={moment.plays ? 'Stop' : 'Play'}
          onPress={moment.toggle}
        />
        {long > SHORTEST_S ? <Button icon="zoom-in" label="Nearer" onPress={nearer} /> : null}
        {isWhole ? null : (
          <Button icon="maximize" label="All of it" onPress={() => looking.look(0, view.lastsS)} />
        )}
        {view.highestM === null ? null : (
          <Button
            icon="eye"
            label={looking.shown ? 'Hide the view' : 'From the ground'}
            onPress={() => (looking.shown ? looking.hide() : looking.show(fromS, toS))}
          />
        )}
      </ButtonRow>
      <Choice
        label="How fast it plays"
        quiet
        value={moment.pace}
        onChange={moment.setPace}
        options={PACES.map((value) => ({ value, label: `×${value}` }))}
      />
    </>
  );
}

/** An event that is picked is gone to; where it lies outside the part that is shown, all is. */
function useLookedEvent({
  looked,
  events,
  ...now
}: Pick<LookedProps, 'looked' | 'part'> & {
  readonly events: FlightView['events'];
  readonly seeAll: () => void;
  readonly goTo: (t: number) => void;
}) {
  const at = useRef(now);
  at.current = now;
  useEffect(() => {
    const event = looked === null ? undefined : events[looked];
    if (!event) return;
    const { part, seeAll, goTo } = at.current;
    if (event.atS < part.fromS || event.atS > part.toS) seeAll();
    goTo(event.atS);
  }, [looked, events]);
}

/** Another flight, laid over this one on the plan. */
function OtherFlight({ other }: Pick<LookedProps, 'other'>) {
  return (
    <>
      <Button
        kind="quiet"
        icon="layers"
        label={other.name ? `Dashed: ${other.name}. Change` : 'Lay another flight over it'}
        onPress={() => pickFile(ACCEPTED, other.read)}
      />
      {other.bad ? <Words as="strong" role="alert">{`! ${other.bad}`}</Words> : null}
    </>
  );
}

/** A flight to look through: drawn, over time, played, and stood before. */
export function FlightLooked({
  looking,
  view,
  part,
  looked,
  setUp,
  judgedAt,
  onLogNote,
  other,
  video,
}: LookedProps) {
  const { fromS, toS } = part;
  const moment = useMoment(fromS, toS);
  const { goTo } = moment;
  const shown = useRef<VideoHandle>(null);
  const goToBoth = (t: number) => {
    goTo(t);
    shown.current?.follow(t);
  };
  const { events } = view;
  useLookedEvent({ looked, events, part, seeAll: () => looking.look(0, view.lastsS), goTo: goToBoth });
  const otherView = other.understood?.view ?? null;
  const otherPath = useMemo(() => (otherView ? laidOver(view, otherView) : NO_PATH), [view, otherView]);
  const { drillId, side, line, posts } = setUp;
  const placement = setUp.isGated ? judgedAt : (setUp.placement ?? judgedAt);
  const lines = useMemo(
    () => [...setUpLines({ drillId, side }, placement), ...(line ? [line] : []), ...(posts ? [posts] : [])],
    [drillId, side, placement, line, posts],
  );
  const stood = setUp.isGated ? judgedAt : (setUp.places.pilot ?? judgedAt);
  return (
    <View style={{ gap: 10 }}>
      <FlightPicture
        windFromDeg={windFromDegOf(view.wind)}
        path={part.path}
        events={events}
        looked={looked}
        t={moment.t}
        setUp={lines}
        pilot={stood}
        other={otherPath}
        onPlace={setUp.wanted ? setUp.place : null}
      />
      {setUp.wanted ? (
        <Button
          icon="map-pin"
          label={`Here: where it was at ${clockOf(moment.t)}`}
          onPress={() => setUp.place(pointAt(part.path, moment.t))}
        />
      ) : null}
      <OtherFlight other={other} />
      <MomentFigures part={part} t={moment.t} />
      <MomentSlider begin={fromS} end={toS} t={moment.t} onMove={goToBoth} />
      <FlightLanes
        stretch={part}
        events={events}
        t={moment.t}
        onMove={goToBoth}
        onMark={(from, to) => looking.look(from, to)}
      />
      <LookButtons looking={looking} view={view} part={part} moment={moment} />
      <VideoPart
        ref={shown}
        video={video}
        flight={{
          ...{ t: moment.t, goTo, startedAt: view.startedAt, lastsS: view.lastsS },
          takeOffS: events.find(({ is }) => is === 'take-off')?.atS ?? null,
        }}
        onLog={onLogNote}
      />
      {looking.shown ? (
        <FromTheGround shown={looking.shown} t={moment.t} stood={stood} path={view.whole.path} />
      ) : null}
    </View>
  );
}
