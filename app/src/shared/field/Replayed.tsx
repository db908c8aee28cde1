import type { Mark } from '@skelby/core/choreography/scene';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import type { Exercise } from '@skelby/core/assessment/exercise';
import { pilotAt } from '@skelby/core/assessment/walk';
import { lineAt, type Replay } from '@skelby/core/assessment/replay';
import { headingOf } from '@skelby/core/geometry/rotation';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, ButtonRow } from '../ui/Button';
import { Field, FIELD_PX, type FieldHandle } from './Field';
import { SticksHeld } from './SticksHeld';
import { Inset } from './Inset';
import { MomentSlider } from './MomentSlider';

const TICK_MS = 50;
const BEFORE_S = 2;

interface ReplayedProps {
  readonly replay: Replay;
  /** The moment it went wrong, s; null when it did not. */
  readonly wrongAtS: number | null;
  /** A moment that was asked for elsewhere on the page. */
  readonly look?: LookAt;
  readonly spanM: number;
  readonly rotors: number;
  readonly marks: readonly Mark[];
  readonly scene: SimulatedScene;
  readonly layout: StickLayout;
  readonly cameraDeg: number;
  /** Where the pilot walks in it, if anywhere. */
  readonly course: Pick<Exercise, 'walk' | 'pilotWalks'>;
}

/** A moment to look at, s; the same one may be asked for again. */
export interface LookAt {
  readonly atS: number | null;
  readonly nth: number;
}
const NOWHERE: LookAt = { atS: null, nth: 0 };

/** The moment that is shown; it runs on while it plays. */
function useClock(begin: number, end: number, wrongAtS: number | null) {
  const [t, setT] = useState(wrongAtS === null ? begin : Math.max(begin, wrongAtS - BEFORE_S));
  const [plays, setPlays] = useState(false);
  useEffect(() => {
    if (!plays) return undefined;
    const tick = setInterval(() => setT((last) => Math.min(end, last + TICK_MS / 1000)), TICK_MS);
    return () => clearInterval(tick);
  }, [plays, end]);
  useEffect(() => {
    if (t >= end) setPlays(false);
  }, [t, end]);
  const stopAt = useCallback((to: number) => {
    setPlays(false);
    setT(to);
  }, []);
  return {
    t,
    plays,
    stopAt,
    toggle: () => {
      if (t >= end) setT(begin);
      setPlays(!plays);
    },
  };
}

/** Places of a flight: all of them, and a few seen from above. */
function usePlaces(replay: Replay) {
  const places = useMemo(
    () => Array.from(replay.t, (_, at) => [replay.x[at]!, replay.y[at]!, replay.z[at]!] as const),
    [replay],
  );
  const flat = useMemo(
    () => places.filter((_, at) => at % 4 === 0).map(([x, y]) => [x, y] as const),
    [places],
  );
  return { places, flat };
}

interface ReplayButtonsProps {
  readonly clock: ReturnType<typeof useClock>;
  readonly wrongAtS: number | null;
  readonly throughCamera: boolean;
  readonly onCamera: (on: boolean) => void;
}

function ReplayButtons({ clock, wrongAtS, throughCamera, onCamera }: ReplayButtonsProps) {
  return (
    <ButtonRow>
      <Button
        icon={clock.plays ? 'pause' : 'play'}
        label={clock.plays ? 'Stop' : 'Play'}
        onPress={clock.toggle}
      />
      {wrongAtS === null ? null : (
        <Button icon="alert-triangle" label="Where it went wrong" onPress={() => clock.stopAt(wrongAtS)} />
      )}
      <Button
        icon={throughCamera ? 'user' : 'camera'}
        label={throughCamera ? 'From the ground' : 'Camera'}
        onPress={() => onCamera(!throughCamera)}
      />
    </ButtonRow>
  );
}

/** A flight shown again: path, nose and sticks, with the moment it went wrong to jump to. */
export function Replayed({
  replay,
  wrongAtS,
  look = NOWHERE,
  spanM,
  rotors,
  marks,
  scene,
  layout,
  cameraDeg,
  course,
}: ReplayedProps) {
  const field = useRef<FieldHandle>(null);
  const [begin, end] = [replay.t[0] ?? 0, replay.t.at(-1) ?? 0];
  const clock = useClock(begin, end, wrongAtS);
  const { t, stopAt } = clock;
  useEffect(() => {
    if (look.atS !== null) stopAt(look.atS);
  }, [look, stopAt]);
  const [throughCamera, setThroughCamera] = useState(false);
  const i = lineAt(replay, t);
  const pilot = useMemo(() => pilotAt(course, replay.t[i]! - begin), [course, replay, i, begin]);
  const { places, flat } = usePlaces(replay);
  useEffect(() => {
    field.current?.draw({
      position: [replay.x[i]!, replay.y[i]!, replay.z[i]!],
      attitude: [replay.qw[i]!, replay.qx[i]!, replay.qy[i]!, replay.qz[i]!],
      pilot,
    });
  }, [replay, i, throughCamera, pilot]);
  useEffect(() => {
    const soon = setTimeout(() => field.current?.showPath(places), 300);
    return () => clearTimeout(soon);
  }, [places]);
  const heading = headingOf({ qw: replay.qw[i]!, qx: replay.qx[i]!, qy: replay.qy[i]!, qz: replay.qz[i]! });
  const sticks = {
    throttle: replay.throttle[i]!,
    yaw: replay.yaw[i]!,
    pitch: replay.pitch[i]!,
    roll: replay.roll[i]!,
  };
  return (
    <View style={{ gap: 10 }}>
      <Field
        ref={field}
        height={FIELD_PX}
        spanM={spanM}
        rotors={rotors}
        marks={marks}
        scene={scene}
        throughCamera={throughCamera}
        cameraDeg={cameraDeg}
        blind={false}
        inset={
          <Inset
            size={120}
            marks={marks}
            pilot={pilot}
            craft={{ x: replay.x[i]!, y: replay.y[i]!, headingDeg: heading }}
            path={flat}
          />
        }
      />
      <MomentSlider begin={begin} end={end} t={t} onMove={clock.stopAt} />
      <SticksHeld layout={layout} sticks={sticks} size={84} />
      <ReplayButtons
        clock={clock}
        wrongAtS={wrongAtS}
        throughCamera={throughCamera}
        onCamera={setThroughCamera}
      />
    </View>
  );
}
