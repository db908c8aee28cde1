import type { CueId } from '@skelby/core/vocabulary/cues';
import { cueWords } from '@skelby/copy/cues';
import { drillWords } from '@skelby/copy/drills';
import { momentAt } from '@skelby/core/choreography/fly';
import { movementOf, sceneOf } from '@skelby/core/choreography/scenes';
import { fixedView, turningView } from '@skelby/core/choreography/seen';
import type { Side } from '@skelby/core/drills/drill';
import { type DrillId, drillOf } from '@skelby/core/drills/drills';
import { axesOf, type StickLayout } from '@skelby/core/vocabulary/flying';
import { useCallback, useId, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../api/use-units';
import { StickPlateDrawing } from './StickPlateDrawing';
import { Button, ButtonRow } from '../ui/Button';
import { themed, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';
import { usePlayer } from './use-player';

import { drawEye, PilotsEye } from './movement-eye';
import { LEAN_AT_FULL_DEG, putOn } from './movement-parts';
import { frameOf, Plan } from './movement-plan';
import { Side2D, sideScaleOf } from './movement-side';
import { drawSticks, MovingPlate } from './movement-sticks';

const useStyles = themed(() => ({
  sticks: { flexDirection: 'row', justifyContent: 'center', gap: 20 },
  said: { minHeight: 28, textAlign: 'center' },
}));

export interface MovementProps {
  readonly drillId: DrillId;
  readonly layout: StickLayout;
  readonly side: Side | null;
}

/**
 * The movement of a drill in time: sticks as this pilot has them, from above, from the side and as the pilot
 * sees it.
 */
export function MovementDrawing(props: MovementProps) {
  // A drill without a movement of its own shows which sticks it works.
  if (!sceneOf(props.drillId))
    return <StickPlateDrawing layout={props.layout} moves={drillOf(props.drillId).sticks} />;
  return <Playing {...props} />;
}

/** What is said to the pilot at a moment. */
const saidAt = ({ says }: { readonly says: CueId | null }): string => (says ? cueWords(says) : '');

function Playing({ drillId, layout, side }: MovementProps) {
  const styles = useStyles();
  const theme = useTheme();
  const { sayM } = useUnits();
  const id = useId().replaceAll(':', '');
  const scene = sceneOf(drillId)!;
  const { moments, windFromDeg, isMirrored } = useMemo(() => movementOf(drillId, side), [drillId, side]);
  const marks = useMemo(
    () => (isMirrored ? scene.marks.map((mark) => ({ ...mark, x: -mark.x })) : scene.marks),
    [scene, isMirrored],
  );
  const frame = useMemo(() => frameOf(moments, marks), [moments, marks]);
  const scale = useMemo(() => sideScaleOf(moments, marks), [moments, marks]);
  const still = useMemo(() => fixedView(moments), [moments]);
  const [said, setSaid] = useState(saidAt(moments[0]!));
  const lastSaid = useRef(said);
  const draw = useCallback(
    (t: number) => {
      const moment = momentAt(moments, t);
      drawSticks(id, layout, moment);
      putOn(`${id}-plan`, {
        transform: `translate(${frame.toX(moment.x).toFixed(1)} ${frame.toY(moment.y).toFixed(1)}) rotate(${moment.noseDeg.toFixed(1)})`,
      });
      putOn(`${id}-side`, {
        transform: `translate(${scale.toX(Math.hypot(moment.x, moment.y)).toFixed(1)} ${scale.toY(moment.z).toFixed(1)}) rotate(${(moment.sticks.pitch * LEAN_AT_FULL_DEG).toFixed(1)})`,
      });
      drawEye(id, moment, still ?? turningView(moment), { near: theme.ink, far: theme.ground });
      const says = saidAt(moment);
      if (says !== lastSaid.current) {
        lastSaid.current = says;
        setSaid(says);
      }
    },
    [id, layout, moments, frame, scale, still, theme],
  );
  const player = usePlayer(moments.at(-1)!.t, draw);
  const axes = axesOf(layout);
  const highest = Math.max(...moments.map((each) => each.z));
  return (
    <View style={{ gap: 10 }}>
      <View style={styles.sticks} role="img" aria-label={`Sticks of ${drillWords(drillId).name}`}>
        <MovingPlate id={`${id}-left`} {...axes.left} />
        <MovingPlate id={`${id}-right`} {...axes.right} />
      </View>
      <Words as="strong" style={styles.said} aria-live="polite">
        {said}
      </Words>
      <ButtonRow>
        <Button icon="chevron-left" label="" says="Step back" onPress={() => player.step(-1)} />
        <Button
          kind="solid"
          icon={player.playing ? 'pause' : 'play'}
          label={player.playing ? 'Pause' : 'Play'}
          onPress={player.toggle}
        />
        <Button icon="chevron-right" label="" says="Step on" onPress={() => player.step(1)} />
        <Button label={player.slow ? '✓ Slow' : 'Slow'} onPress={player.toggleSlow} />
      </ButtonRow>
      <PilotsEye id={id} marks={marks} still={still} />
      <Plan id={id} scene={{ ...scene, marks }} moments={moments} windFromDeg={windFromDeg} frame={frame} />
      <Side2D id={id} moments={moments} marks={marks} scale={scale} />
      <Words as="soft">{`Up to ${sayM(Math.round(highest))} high. Drawn for a craft that follows the stick at once. Way out: ${scene.wayOut}.`}</Words>
    </View>
  );
}
