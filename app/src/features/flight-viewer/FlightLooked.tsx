import { laidOver } from '@skelby/core/recorded-flight/laid-over';
import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import type { Placement } from '@skelby/core/recorded-flight/reps/placement';
import type { ShownAgain } from '@skelby/core/recorded-flight/shown-again';
import type { Stretch } from '@skelby/core/recorded-flight/stretch';
import { lineAt } from '@skelby/core/assessment/replay';
import { STILL } from '@skelby/core/simulator/gusts-dryden';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import { USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Field, FIELD_PX, type FieldHandle } from '../../shared/field/Field';
import { MomentSlider } from '../../shared/field/MomentSlider';
import { SticksHeld } from '../../shared/field/SticksHeld';
import { Choice } from '../../shared/forms/Choice';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { pickFile } from '../../shared/ui/pick-file';
import { Words } from '../../shared/ui/Words';
import { ACCEPTED } from './accepted';
import { clockOf } from './event-copy';
import { FlightLanes } from './FlightLanes';
import { FlightPicture } from './FlightPicture';
import type { Looking } from './use-answers';
import { setUpLines, type SetUpChoice } from './use-set-up';
import type { useFlightFile } from './use-flight-file';
import { type VideoHandle, VideoPart } from './VideoPart';
import { type LookedMoment, PACES, useMoment } from './use-moment';

const EMPTY: SimulatedScene = { solids: [], wind: STILL };
const NO_MARKS = [] as const;
const NO_PATH = [] as const;

/** Where nobody wrote down where the pilot stood, m behind where it took off. Common practice: five and more. */
const BEHIND_M = 6;

/** Behind where it began, so that the farthest it came to lies ahead. */
function standsBehind(path: Stretch['path']): { readonly x: number; readonly y: number } {
  const far = path.reduce((most, each) =>
    Math.hypot(each.x, each.y) > Math.hypot(most.x, most.y) ? each : most,
  );
  const away = Math.max(1e-6, Math.hypot(far.x, far.y));
  return { x: (-BEHIND_M * far.x) / away, y: (-BEHIND_M * far.y) / away };
}

interface InFieldProps {
  readonly shown: ShownAgain;
  /** The whole flight. */
  readonly path: Stretch['path'];
  readonly t: number;
}

/** The part that is looked at, from where the flight began, at the moment that is looked at. */
function InTheField({ shown, path, t }: InFieldProps) {
  const field = useRef<FieldHandle>(null);
  const { replay, isLeanKnown, areSticksKnown } = shown;
  const { sayM } = useUnits();
  const i = lineAt(replay, t);
  const pilot = useMemo(() => standsBehind(path), [path]);
  const places = useMemo(
    () => Array.from(replay.t, (_, at) => [replay.x[at]!, replay.y[at]!, replay.z[at]!] as const),
    [replay],
  );
  useEffect(() => {
    field.current?.draw({
      position: [replay.x[i]!, replay.y[i]!, replay.z[i]!],
      attitude: [replay.qw[i]!, replay.qx[i]!, replay.qy[i]!, replay.qz[i]!],
      pilot,
    });
  }, [replay, i, pilot]);
  useEffect(() => {
    const soon = setTimeout(() => field.current?.showPath(places), 300);
    return () => clearTimeout(soon);
  }, [places]);
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
      {areSticksKnown ? (
        <SticksHeld
          layout={2}
          size={84}
          sticks={{
            throttle: replay.throttle[i]!,
            yaw: replay.yaw[i]!,
            pitch: replay.pitch[i]!,
            roll: replay.roll[i]!,
          }}
        />
      ) : null}
      <Words as="soft">
        {`Seen from ${sayM(BEHIND_M)} behind where it took off.${isLeanKnown ? '' : ' Its lean was not recorded: drawn level, the nose along its way.'}`}
      </Words>
    </View>
  );
}

/** Where it was, as drawn. */
const nearestTo = ({ path }: Stretch, t: number) =>
  path.reduce((best, each) => (Math.abs(each.t - t) < Math.abs(best.t - t) ? each : best));

/** Where it is at the moment, in figures. */
function MomentFigures({ part, t }: { readonly part: Stretch; readonly t: number }) {
  const { say, sayM } = useUnits();
  const point = nearestTo(part, t);
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
  readonly onLogNote: ((note: string) => void) | null;
  /** Another flight, laid over this one. */
  readonly other: ReturnType<typeof useFlightFile>;
  /** Where the drill was put that it is judged as; null: nowhere. */
  readonly judgedAt: Placement | null;
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
            label={looking.shown ? 'Put the field away' : 'Stand before it'}
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
}: LookedProps) {
  const { fromS, toS } = part;
  const moment = useMoment(fromS, toS);
  const { goTo } = moment;
  const video = useRef<VideoHandle>(null);
  const goToBoth = (t: number) => {
    goTo(t);
    video.current?.follow(t);
  };
  const { events } = view;
  const otherView = other.understood?.view ?? null;
  const otherPath = useMemo(() => (otherView ? laidOver(view, otherView) : NO_PATH), [view, otherView]);
  const { drillId, side, placement } = setUp;
  const lines = useMemo(
    () => setUpLines({ drillId, side }, placement ?? judgedAt),
    [drillId, side, placement, judgedAt],
  );
  useEffect(() => {
    const event = looked === null ? undefined : events[looked];
    if (event) goTo(event.atS);
  }, [looked, events, goTo]);
  return (
    <View style={{ gap: 10 }}>
      <FlightPicture
        path={part.path}
        events={events}
        looked={looked}
        t={moment.t}
        setUp={lines}
        pilot={setUp.places.pilot ?? judgedAt}
        other={otherPath}
        onPlace={setUp.wanted ? setUp.place : null}
      />
      {setUp.wanted ? (
        <Button
          icon="map-pin"
          label={`Here: where it was at ${clockOf(moment.t)}`}
          onPress={() => setUp.place(nearestTo(part, moment.t))}
        />
      ) : null}
      <ButtonRow>
        <Button
          kind="quiet"
          icon="layers"
          label={other.name ? `Dashed: ${other.name}. Another` : 'Lay another flight over it'}
          onPress={() => pickFile(ACCEPTED, other.read)}
        />
      </ButtonRow>
      {other.bad ? <Words as="strong" role="alert">{`! ${other.bad}`}</Words> : null}
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
        ref={video}
        flight={{ t: moment.t, goTo, takeOffS: events.find(({ is }) => is === 'take-off')?.atS ?? null }}
        onLog={onLogNote}
      />
      {looking.shown ? <InTheField shown={looking.shown} path={view.whole.path} t={moment.t} /> : null}
    </View>
  );
}
