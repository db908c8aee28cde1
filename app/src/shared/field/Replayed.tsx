import type { Mark } from '@skelby/core/choreography/scene';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import type { Exercise } from '@skelby/core/assessment/exercise';
import { pilotAt } from '@skelby/core/assessment/walk';
import { lineAt, type Replay } from '@skelby/core/assessment/replay';
import { headingOf } from '@skelby/core/geometry/rotation';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, ButtonRow } from '../ui/Button';
import { Field, FIELD_PX, type FieldHandle } from './Field';
import { SticksHeld } from './SticksHeld';
import { Inset } from './Inset';
import { MomentSlider } from './MomentSlider';
import { type LookedMoment, useMoment } from './use-moment';
import { sticksAt, useReplayed } from './use-replayed';

const BEFORE_S = 2;
/** Whoever takes over at the very end has so much left, s. */
const LEFT_TO_FLY_S = 1;

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
  /** Flies on from the moment that is shown, s; absent: it was flown elsewhere. */
  readonly onTakeOver?: (atS: number) => void;
}

/** A moment to look at, s; the same one may be asked for again. */
export interface LookAt {
  readonly atS: number | null;
  readonly nth: number;
}
const NOWHERE: LookAt = { atS: null, nth: 0 };

interface ReplayButtonsProps {
  readonly clock: LookedMoment;
  readonly wrongAtS: number | null;
  readonly throughCamera: boolean;
  readonly onCamera: (on: boolean) => void;
  readonly onTakeOver: (() => void) | null;
}

function ReplayButtons({ clock, wrongAtS, throughCamera, onCamera, onTakeOver }: ReplayButtonsProps) {
  return (
    <ButtonRow>
      <Button
        icon={clock.plays ? 'pause' : 'play'}
        label={clock.plays ? 'Stop' : 'Play'}
        onPress={clock.toggle}
      />
      {wrongAtS === null ? null : (
        <Button icon="alert-triangle" label="Where it went wrong" onPress={() => clock.goTo(wrongAtS)} />
      )}
      <Button
        icon={throughCamera ? 'user' : 'camera'}
        label={throughCamera ? 'From the ground' : 'Camera'}
        onPress={() => onCamera(!throughCamera)}
      />
      {onTakeOver ? <Button icon="corner-up-left" label="Fly on from here" onPress={onTakeOver} /> : null}
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
  onTakeOver,
}: ReplayedProps) {
  const field = useRef<FieldHandle>(null);
  const [begin, end] = [replay.t[0] ?? 0, replay.t.at(-1) ?? 0];
  const clock = useMoment(begin, end, wrongAtS === null ? begin : Math.max(begin, wrongAtS - BEFORE_S));
  const { t, goTo } = clock;
  useEffect(() => {
    if (look.atS !== null) goTo(look.atS);
  }, [look, goTo]);
  const [throughCamera, setThroughCamera] = useState(false);
  const shownS = replay.t[lineAt(replay, t)]!;
  const pilot = useMemo(() => pilotAt(course, shownS - begin), [course, shownS, begin]);
  const { i, places } = useReplayed({ field, replay, t, pilot, redrawn: throughCamera });
  const flat = useMemo(
    () => places.filter((_, at) => at % 4 === 0).map(([x, y]) => [x, y] as const),
    [places],
  );
  const heading = headingOf({ qw: replay.qw[i]!, qx: replay.qx[i]!, qy: replay.qy[i]!, qz: replay.qz[i]! });
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
      <MomentSlider begin={begin} end={end} t={t} onMove={goTo} />
      <SticksHeld layout={layout} sticks={sticksAt(replay, i)} size={84} />
      <ReplayButtons
        clock={clock}
        wrongAtS={wrongAtS}
        throughCamera={throughCamera}
        onCamera={setThroughCamera}
        onTakeOver={onTakeOver ? () => onTakeOver(Math.min(t, end - LEFT_TO_FLY_S)) : null}
      />
    </View>
  );
}
