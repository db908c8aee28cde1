import type { DrillId } from '@skelby/core/drills/drills';
import { causeOf } from '@skelby/core/causes/causes';
import { axesOf, type StickLayout } from '@skelby/core/vocabulary/flying';
import type { Exercise } from '@skelby/core/assessment/exercise';
import type { Drill } from '@skelby/core/drills/drill';
import { throttleStick } from '@skelby/core/simulator/control/control';
import type { Ended } from '@skelby/core/simulator/simulated-flight';
import type { PracticeSetUp } from '@skelby/core/simulator/practice';
import { headingOf } from '@skelby/core/flight-log/flight-log';
import { type CraftRecord, craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Row, Rows } from '../../shared/ui/Rows';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { keptSetUpOnce, padNow } from './controller';
import { Field, FIELD_PX, type FieldHandle } from './Field';
import { Gimbal } from './Gimbal';
import { type Hand, useHands } from './hands';
import { Inset } from './Inset';
import { Live, type Standing, standingIn } from './live';
import type { LikelyCause, Scored, Shown } from './practice.worker';
import { Replayed } from './Replayed';
import { ScorePanel } from './ScorePanel';
import { flightFrom, type PracticeSettings } from './settings';
import type { Tilt } from './tilt';
import { useFlight } from './use-flight';

const ON_GROUND_M = 0.3;
const STICK_PX = 150;
/** A phone on its side: the field between the thumbs, px. */
const LOW = 520;
const LEAST_FIELD_PX = 260;
const AROUND_FIELD_PX = 180;

const useStyles = themed((theme) => ({
  over: {
    position: 'absolute',
    left: 8,
    right: 8,
    bottom: 8,
    padding: 10,
    backgroundColor: theme.ground,
    borderWidth: 2,
    borderColor: theme.ink,
    gap: 8,
  },
  hands: { flexDirection: 'row', justifyContent: 'space-between' },
  low: { flexDirection: 'row', gap: 12, alignItems: 'flex-end' },
  middle: { flex: 1, minWidth: 0, gap: 6 },
  read: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14 },
  blind: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 0,
    bottom: 0,
    alignItems: 'center',
    justifyContent: 'center',
    backgroundColor: theme.shade,
  },
}));

const endedWords = (ended: NonNullable<Ended>): string =>
  ended.how === 'ground'
    ? 'Into the ground'
    : `Into ${ended.solid?.solid === 'wire' ? 'a bar or wire' : ended.solid?.solid === 'pole' ? 'a post or trunk' : ended.solid?.solid === 'ball' ? 'a tree' : 'a wall or roof'}`;

const RETURN_WORDS = {
  climbing: 'Coming home: climbing first',
  'on-the-way': 'Coming home',
  landing: 'Landing by itself',
} as const;

/** Distance, height, speed and charge, a few times a second: reading them is not flying. */
function Readout({ live }: { readonly live: Live }) {
  const styles = useStyles();
  const { say } = useUnits();
  const { shown } = useSyncExternalStore(live.subscribe, live.now);
  if (!shown)
    return (
      <Words as="soft" role="status">
        Setting it up …
      </Words>
    );
  const {
    position: [x, y, z],
    velocity,
    charge,
    holdLost,
    nearestM,
    returning,
  } = shown;
  return (
    <View style={styles.read}>
      <Words as="figure">{`${say(Math.round(Math.hypot(x - shown.pilot.x, y - shown.pilot.y)), 'm')} away`}</Words>
      <Words as="figure">{`${say(Math.round(z * 10) / 10, 'm')} up`}</Words>
      <Words as="figure">{say(Math.round(Math.hypot(...velocity) * 10) / 10, 'm/s')}</Words>
      <Words as="figure">{`${Math.round(charge * 100)} %`}</Words>
      {nearestM !== null ? (
        <Words as="figure">{`! ${say(Math.round(nearestM * 10) / 10, 'm')} to something`}</Words>
      ) : null}
      {holdLost ? <Words as="figure">No hold</Words> : null}
      {shown.linkLost ? <Words as="figure">No link: it flies itself</Words> : null}
      {returning ? <Words as="figure">{RETURN_WORDS[returning]}</Words> : null}
    </View>
  );
}

/** The field from above. Where the nose has to be found, it does not give it away. */
function Map({ live, marks }: { readonly live: Live; readonly marks: PracticeSetUp['marks'] }) {
  const { shown, path } = useSyncExternalStore(live.subscribe, live.now);
  if (!shown) return null;
  const {
    position: [x, y],
    attitude: [qw, qx, qy, qz],
    part,
    pilot,
  } = shown;
  return (
    <Inset
      size={104}
      marks={marks}
      pilot={pilot}
      craft={
        part.blind || part.hands === 'find-nose' ? null : { x, y, headingDeg: headingOf({ qw, qx, qy, qz }) }
      }
      path={path}
    />
  );
}

/**
 * What the flight itself says of its cause: a practice crash stays in practice, and no trainer has to confirm
 * it.
 */
function Likely({ causes }: { readonly causes: readonly LikelyCause[] }) {
  if (causes.length === 0) return null;
  return (
    <View style={{ gap: 6 }}>
      <Words as="heading">Likely cause</Words>
      <Rows>
        {causes.map(({ causeId, probability, because }) => (
          <Row
            key={causeId}
            title={`${causeOf(causeId).name} · ${Math.round(probability * 100)} %`}
            under={because.join('; ')}
          />
        ))}
      </Rows>
      <Words as="soft">
        Read from the flight alone: what you saw and thought it cannot tell. A crash in practice is not logged
        as an occurrence.
      </Words>
    </View>
  );
}

interface FlyProps {
  readonly drill: Drill<DrillId>;
  readonly course: Exercise;
  readonly setUp: PracticeSetUp;
  readonly craft: CraftRecord;
  readonly settings: PracticeSettings;
  readonly layout: StickLayout;
  readonly tilt: Tilt;
  readonly onRelative: (on: boolean) => void;
  readonly onScored: (scored: Scored) => void;
  /** What became of the rep, under its score. */
  readonly recorded?: React.ReactNode;
}

/** The craft, the sticks and the drill: flown, measured, and shown again. */
export function Fly({
  drill,
  course,
  setUp,
  craft,
  settings,
  layout,
  tilt,
  onRelative,
  onScored,
  recorded,
}: FlyProps) {
  const styles = useStyles();
  const { sentence, say } = useUnits();
  const field = useRef<FieldHandle>(null);
  const [live] = useState(() => new Live());
  const [standing, setStanding] = useState<Standing | null>(null);
  const [throughCamera, setThroughCamera] = useState(false);
  const [reads, setReads] = useState(true);
  const [round, setRound] = useState(0);
  const { width, height } = useWindowDimensions();
  const hands = useHands(layout, tilt);
  const [from] = useState(() => flightFrom(drill.id, settings, setUp, course, craft));
  const { mode, setting, relative } = settings;

  const onFrame = (now: Shown) => {
    const began = performance.now();
    const drawn = field.current?.draw(now);
    performance.measure('skelby.practice', {
      start: began,
      detail: { ...drawn, workMs: now.workMs, timeS: now.timeS },
    });
    hands.soften(now.part.expo);
    live.show(now, began);
    setStanding((last) => standingIn(now, last));
  };
  const flight = useFlight(from, {
    mode: { mode, setting, pilotHeadingDeg: relative && mode !== 'rate' ? 0 : null, hold: true },
    sticks: hands.read,
    onFrame,
  });
  const { go, isFlying, scored, failed } = flight;
  // Without height hold the throttle waits where it carries the craft; on the ground in the middle, which
  // does not.
  const waits =
    (mode !== 'rate' && mode !== 'self-level') || setUp.start.z < ON_GROUND_M
      ? 0
      : throttleStick(1 / craft.thrustToWeight);
  const rest = useCallback(() => {
    hands.rest(waits);
    setRound((n) => n + 1);
  }, [hands, waits]);
  useEffect(() => {
    if (!isFlying) rest();
  }, [isFlying, rest]);
  const again = () => {
    rest();
    flight.again();
  };
  const told = useRef(onScored);
  told.current = onScored;
  useEffect(() => {
    if (scored) told.current(scored);
  }, [scored]);

  // Switches of a controller that has been set up.
  const uses = useRef({
    again,
    camera: () => setThroughCamera((on) => !on),
    hold: () => flight.dropHold(!(standing?.holdLost ?? false)),
    home: flight.goHome,
  });
  uses.current = {
    again,
    camera: () => setThroughCamera((on) => !on),
    hold: () => flight.dropHold(!(standing?.holdLost ?? false)),
    home: flight.goHome,
  };
  useEffect(() => {
    let before: readonly boolean[] = [];
    const look = setInterval(() => {
      const pad = padNow();
      const switches = pad ? (keptSetUpOnce(pad.id)?.switches ?? {}) : {};
      for (const [use, button] of Object.entries(switches))
        if (pad?.pressed[button] && !before[button]) uses.current[use as keyof typeof uses.current]();
      before = pad?.pressed ?? [];
    }, 60);
    return () => clearInterval(look);
  }, []);

  const { left, right } = axesOf(layout);
  const stays = (vertical: string) => vertical === 'throttle' && (mode === 'rate' || mode === 'self-level');
  const part = standing?.part;
  const says = part ? `${part.of > 1 ? `${part.at + 1} of ${part.of}: ` : ''}${part.says}` : '';
  const asked = !isFlying ? (
    <Button kind="main" icon="play" label="Start" onPress={go} disabled={!standing} />
  ) : part?.hands === 'answer' ? (
    <Button kind="solid" icon="message-circle" label="Answer" onPress={flight.answer} />
  ) : standing?.returning ? (
    <Button kind="solid" icon="corner-up-left" label="Take it over" onPress={flight.takeOver} />
  ) : null;
  if (scored) {
    return (
      <>
        {scored.ended ? (
          <Words
            as="heading"
            role="alert"
          >{`${endedWords(scored.ended)} at ${say(Math.round(scored.ended.speedMps), 'm/s')}`}</Words>
        ) : null}
        <ScorePanel score={scored.score} />
        <Likely causes={scored.likely} />
        {recorded}
        <Replayed
          replay={scored.replay}
          wrongAtS={scored.score.wrong?.atS ?? null}
          spanM={craft.spanM}
          rotors={craft.rotors}
          marks={setUp.marks}
          scene={from.scene}
          layout={layout}
          cameraDeg={settings.cameraDeg}
          course={course}
        />
        <ButtonRow>
          <Button kind="solid" icon="rotate-ccw" label="Again" onPress={again} />
          <Button icon="download" label="Save the flight" onPress={flight.save} />
        </ButtonRow>
      </>
    );
  }
  const low = height < LOW && width > height;
  const stick = (hand: Hand, { vertical, horizontal }: typeof left) => (
    <Gimbal
      key={`${hand} ${round}`}
      hand={hand}
      hands={hands}
      says={`${hand === 'left' ? 'Left' : 'Right'} stick: ${vertical}, ${horizontal}`}
      stays={stays(vertical)}
      size={low ? Math.min(STICK_PX, (width - LEAST_FIELD_PX) / 2) : STICK_PX}
    />
  );
  const seen = (
    <>
      <Words as="heading">{isFlying ? says : sentence(drill.byEye)}</Words>
      <Field
        ref={field}
        height={low ? Math.max(LEAST_FIELD_PX / 2, height - AROUND_FIELD_PX) : FIELD_PX}
        spanM={craft.spanM}
        rotors={craft.rotors}
        marks={setUp.marks}
        scene={from.scene}
        throughCamera={throughCamera}
        cameraDeg={settings.cameraDeg}
        blind={isFlying && (part?.blind ?? false)}
        inset={reads ? <Map live={live} marks={setUp.marks} /> : null}
      >
        {asked ? <View style={styles.over}>{asked}</View> : null}
      </Field>
      {failed ? (
        <Words as="strong" role="alert">{`! ${failed}`}</Words>
      ) : reads ? (
        <Readout live={live} />
      ) : null}
    </>
  );
  return (
    <>
      {low ? (
        <View style={styles.low}>
          {stick('left', left)}
          <View style={styles.middle}>{seen}</View>
          {stick('right', right)}
        </View>
      ) : (
        <>
          {seen}
          <View style={styles.hands}>
            {stick('left', left)}
            {stick('right', right)}
          </View>
        </>
      )}
      <ButtonRow>
        {isFlying ? <Button icon="rotate-ccw" label="Again" onPress={again} /> : null}
        <Button
          icon={throughCamera ? 'user' : 'camera'}
          label={throughCamera ? 'From the ground' : 'Camera'}
          onPress={() => setThroughCamera(!throughCamera)}
        />
        {mode === 'position-hold' ? (
          <Button
            icon={standing?.holdLost ? 'anchor' : 'shuffle'}
            label={standing?.holdLost ? 'Give hold back' : 'Drop hold'}
            onPress={() => flight.dropHold(!(standing?.holdLost ?? false))}
          />
        ) : null}
        {mode === 'position-hold' && isFlying ? (
          <Button
            icon={standing?.linkLost ? 'wifi' : 'wifi-off'}
            label={standing?.linkLost ? 'Give the link back' : 'Lose the link'}
            onPress={() => flight.loseLink(!(standing?.linkLost ?? false))}
          />
        ) : null}
        {mode === 'position-hold' && !standing?.returning ? (
          <Button icon="home" label="Come home" onPress={flight.goHome} />
        ) : null}
        {mode !== 'rate' && craftFacts(craft).hasPilotRelative ? (
          <Button
            icon="compass"
            label={relative ? 'Pilot-relative off' : 'Pilot-relative on'}
            onPress={() => onRelative(!relative)}
          />
        ) : null}
        <Button
          kind="quiet"
          label={reads ? 'Hide figures and map' : 'Show figures and map'}
          onPress={() => setReads(!reads)}
        />
      </ButtonRow>
    </>
  );
}
