import { type Moment, momentAt } from '@skelby/core/choreography/fly';
import type { Mark, Scene } from '@skelby/core/choreography/scene';
import { movementOf, sceneOf } from '@skelby/core/choreography/scenes';
import {
  craftPoints,
  fixedView,
  horizonIn,
  seen,
  turningView,
  type View as PilotsView,
} from '@skelby/core/choreography/seen';
import type { Side } from '@skelby/core/drills/drill';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { axesOf, type Axis, type StickLayout } from '@skelby/core/vocabulary/flying';
import { useCallback, useId, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Polygon, Polyline, Rect } from 'react-native-svg';
import { useUnits } from '../api/use-units';
import {
  CraftPlan,
  CraftSide,
  Ground,
  Label,
  PictureFrame,
  PilotFigure,
  PilotSide,
  ScaleBar,
  WIDTH,
  WindArrow,
} from './primitives';
import { StickPlateDrawing } from './StickPlateDrawing';
import { Button, ButtonRow } from '../ui/Button';
import { themed, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';
import { usePlayer } from './use-player';

const PLAN_HEIGHT = 300;
const SIDE_HEIGHT = 130;
const EYE_HEIGHT = 170;
const PLATE = 120;
const TRAVEL = 42;
/** A real craft would be a speck: it is drawn this wide in the pilot's view, m. */
const DRAWN_SPAN_M = 1.1;
const LEAN_AT_FULL_DEG = 25;
const SPOTTER = { x: -2.5, y: -2 } as const;
/** Where the middle of the view stands in its picture. */
const EYE_MIDDLE = EYE_HEIGHT * 0.72;
/**
 * Tips of rotors toward the pilot are seen this much sooner than the rest: the nose is filled when it is the
 * near end.
 */
const NEARER_M = 0.05;

const useStyles = themed((theme) => ({
  sticks: { flexDirection: 'row', justifyContent: 'center', gap: 20 },
  said: { minHeight: 28, textAlign: 'center' },
  eye: { borderWidth: 2, borderColor: theme.ink },
}));

interface Frame {
  readonly toX: (x: number) => number;
  readonly toY: (y: number) => number;
  readonly pxPerM: number;
}

/** Fits the pilot, the marks and the whole path into the plan. */
function frameOf(moments: readonly Moment[], marks: readonly Mark[]): Frame {
  const xs = [
    ...moments.map((each) => each.x),
    ...marks.flatMap((mark) => [mark.x - (mark.width ?? 0) / 2, mark.x + (mark.width ?? 0) / 2]),
    SPOTTER.x,
    0,
  ];
  const ys = [...moments.map((each) => each.y), ...marks.map((mark) => mark.y), -3];
  const [x1, x2, y1, y2] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const pxPerM = Math.min((WIDTH - 60) / Math.max(6, x2 - x1), (PLAN_HEIGHT - 56) / Math.max(8, y2 - y1));
  const middle = (x1 + x2) / 2;
  return {
    pxPerM,
    toX: (x) => WIDTH / 2 + (x - middle) * pxPerM,
    toY: (y) => PLAN_HEIGHT - 28 - (y - y1) * pxPerM,
  };
}

function MarkInPlan({ mark, frame }: { readonly mark: Mark; readonly frame: Frame }) {
  const theme = useTheme();
  const [x, y] = [frame.toX(mark.x), frame.toY(mark.y)];
  const half = ((mark.width ?? 0) / 2) * frame.pxPerM;
  const label = mark.label ? (
    <Label x={x + 12} y={y + 18} soft>
      {mark.label}
    </Label>
  ) : null;
  switch (mark.is) {
    case 'mark':
      return (
        <G>
          <Line x1={x - 7} y1={y - 7} x2={x + 7} y2={y + 7} stroke={theme.ink} strokeWidth={3} />
          <Line x1={x - 7} y1={y + 7} x2={x + 7} y2={y - 7} stroke={theme.ink} strokeWidth={3} />
          {label}
        </G>
      );
    case 'pad':
      return (
        <G>
          <Rect x={x - 10} y={y - 10} width={20} height={20} fill="none" stroke={theme.ink} strokeWidth={3} />
          {label}
        </G>
      );
    case 'post':
      return (
        <G>
          <Circle cx={x} cy={y} r={6} fill={theme.rule} stroke={theme.ink} strokeWidth={3} />
          {label}
        </G>
      );
    case 'gate':
      return (
        <G>
          <Circle cx={x - half} cy={y} r={4} fill={theme.ink} />
          <Circle cx={x + half} cy={y} r={4} fill={theme.ink} />
          <Line
            x1={x - half}
            y1={y}
            x2={x + half}
            y2={y}
            stroke={theme.ink}
            strokeWidth={2}
            strokeDasharray="3 4"
          />
          {label}
        </G>
      );
    case 'wall':
      return (
        <G>
          <Rect
            x={x - half}
            y={y - 4}
            width={2 * half}
            height={8}
            fill={theme.rule}
            stroke={theme.ink}
            strokeWidth={2.5}
          />
          {label}
        </G>
      );
    case 'roof':
      return (
        <G>
          <Rect
            x={x - half}
            y={y - 2.5 * frame.pxPerM}
            width={2 * half}
            height={5 * frame.pxPerM}
            fill="none"
            stroke={theme.ink}
            strokeWidth={2.5}
            strokeDasharray="8 5"
          />
          {label}
        </G>
      );
  }
}

/** Set-up from above: pilot, spotter, people behind, marks, wind, the path wanted, and the craft on it. */
function Plan({
  id,
  scene,
  moments,
  windFromDeg,
  frame,
}: {
  readonly id: string;
  readonly scene: Scene;
  readonly moments: readonly Moment[];
  readonly windFromDeg: number;
  readonly frame: Frame;
}) {
  const theme = useTheme();
  const { say } = useUnits();
  const path = moments
    .filter((_, i) => i % 4 === 0)
    .map((each) => `${frame.toX(each.x).toFixed(1)},${frame.toY(each.y).toFixed(1)}`)
    .join(' ');
  const line = frame.toY(-0.8);
  return (
    <PictureFrame
      height={PLAN_HEIGHT}
      says="Set-up from above: where the pilot and the spotter stand, people behind them, marks, wind and the path."
    >
      <Rect x={0} y={line} width={WIDTH} height={PLAN_HEIGHT - line} fill={theme.shade} />
      <Line
        x1={0}
        y1={line}
        x2={WIDTH}
        y2={line}
        stroke={theme.rule}
        strokeWidth={2}
        strokeDasharray="10 6"
      />
      <Label x={8} y={PLAN_HEIGHT - 8} soft>
        everybody behind this line
      </Label>
      {scene.marks.map((mark, i) => (
        <MarkInPlan key={i} mark={mark} frame={frame} />
      ))}
      <Polyline
        points={path}
        fill="none"
        stroke={theme.rule}
        strokeWidth={4}
        strokeDasharray="2 7"
        strokeLinecap="round"
      />
      <PilotFigure x={frame.toX(0)} y={frame.toY(0)} />
      <Circle
        cx={frame.toX(SPOTTER.x)}
        cy={frame.toY(SPOTTER.y)}
        r={6}
        fill="none"
        stroke={theme.ink}
        strokeWidth={3}
      />
      <Label x={frame.toX(SPOTTER.x) - 10} y={frame.toY(SPOTTER.y) + 4} anchor="end" soft>
        spotter
      </Label>
      <WindArrow x={WIDTH - 26} y={34} fromDeg={windFromDeg} />
      <ScaleBar x={10} y={18} pxPerM={frame.pxPerM} say={(metres) => say(metres, 'm')} />
      <G id={`${id}-plan`}>
        <CraftPlan x={0} y={0} size={30} />
      </G>
    </PictureFrame>
  );
}

/** Height over distance from the pilot. */
function Side2D({
  id,
  moments,
  marks,
  scale,
}: {
  readonly id: string;
  readonly moments: readonly Moment[];
  readonly marks: readonly Mark[];
  readonly scale: SideScale;
}) {
  const theme = useTheme();
  const path = moments
    .filter((_, i) => i % 4 === 0)
    .map((each) => `${scale.toX(Math.hypot(each.x, each.y)).toFixed(1)},${scale.toY(each.z).toFixed(1)}`)
    .join(' ');
  return (
    <PictureFrame height={SIDE_HEIGHT} says="From the side: height over distance from the pilot.">
      <Ground y={SIDE_HEIGHT - 18} />
      <PilotSide x={scale.toX(0)} y={SIDE_HEIGHT - 18} />
      {marks
        .filter((mark) => mark.height)
        .map((mark, i) => {
          const x = scale.toX(Math.hypot(mark.x, mark.y));
          return (
            <Line
              key={i}
              x1={x}
              y1={SIDE_HEIGHT - 18}
              x2={x}
              y2={scale.toY(mark.height!)}
              stroke={theme.ink}
              strokeWidth={mark.is === 'gate' ? 2.5 : 5}
              strokeDasharray={mark.is === 'gate' ? '3 4' : undefined}
            />
          );
        })}
      <Polyline
        points={path}
        fill="none"
        stroke={theme.rule}
        strokeWidth={4}
        strokeDasharray="2 7"
        strokeLinecap="round"
      />
      <G id={`${id}-side`}>
        <CraftSide x={0} y={0} size={22} />
      </G>
      <G id={`${id}-height`}>
        <Label x={0} y={0} bold>
          {' '}
        </Label>
      </G>
    </PictureFrame>
  );
}

interface SideScale {
  readonly toX: (m: number) => number;
  readonly toY: (m: number) => number;
}

function sideScaleOf(moments: readonly Moment[], marks: readonly Mark[]): SideScale {
  const far = Math.max(
    10,
    ...moments.map((each) => Math.hypot(each.x, each.y)),
    ...marks.map((mark) => Math.hypot(mark.x, mark.y)),
  );
  const high = Math.max(3, ...moments.map((each) => each.z), ...marks.map((mark) => mark.height ?? 0));
  const px = Math.min((WIDTH - 60) / far, (SIDE_HEIGHT - 44) / high);
  return { toX: (m) => 22 + m * px, toY: (m) => SIDE_HEIGHT - 18 - m * px };
}

/** Posts, gates and walls as the pilot sees them. */
function MarkSeen({ mark, view }: { readonly mark: Mark; readonly view: PilotsView }) {
  const theme = useTheme();
  const half = (mark.width ?? 0) / 2;
  const corner = (x: number, z: number) => {
    const { across, up } = seen({ x, y: mark.y, z }, view);
    return `${(WIDTH / 2 + (across * WIDTH) / 2).toFixed(1)},${(EYE_MIDDLE - (up * WIDTH) / 2).toFixed(1)}`;
  };
  const height = mark.height ?? 1;
  if (mark.is === 'post')
    return (
      <Polyline
        points={`${corner(mark.x, 0)} ${corner(mark.x, height)}`}
        stroke={theme.ink}
        strokeWidth={4}
        fill="none"
      />
    );
  if (mark.is === 'gate' || mark.is === 'roof')
    return (
      <Polyline
        points={[
          corner(mark.x - half, 0),
          corner(mark.x - half, height),
          corner(mark.x + half, height),
          corner(mark.x + half, 0),
        ].join(' ')}
        stroke={theme.ink}
        strokeWidth={3}
        fill="none"
      />
    );
  if (mark.is === 'wall')
    return (
      <Polygon
        points={[
          corner(mark.x - half, 0),
          corner(mark.x - half, height),
          corner(mark.x + half, height),
          corner(mark.x + half, 0),
        ].join(' ')}
        stroke={theme.ink}
        strokeWidth={3}
        fill={theme.rule}
      />
    );
  return null;
}

/**
 * What the pilot sees: horizon, marks, and the craft larger than it is. Its nose is filled while it is the
 * near end.
 */
function PilotsEye({
  id,
  marks,
  still,
}: {
  readonly id: string;
  readonly marks: readonly Mark[];
  readonly still: PilotsView | null;
}) {
  const theme = useTheme();
  const styles = useStyles();
  return (
    <View style={styles.eye}>
      <PictureFrame height={EYE_HEIGHT} says="What the pilot sees; the craft is drawn larger than it is.">
        <Rect id={`${id}-ground`} x={0} y={EYE_HEIGHT} width={WIDTH} height={EYE_HEIGHT} fill={theme.shade} />
        <Line
          id={`${id}-horizon`}
          x1={0}
          y1={EYE_HEIGHT}
          x2={WIDTH}
          y2={EYE_HEIGHT}
          stroke={theme.ink}
          strokeWidth={2}
        />
        <Label x={8} y={18} soft>
          {still ? 'as you see it' : 'as you see it, turning with it'}
        </Label>
        {still ? marks.map((mark, i) => <MarkSeen key={i} mark={mark} view={still} />) : null}
        <Polyline id={`${id}-arm1`} points="" stroke={theme.ink} strokeWidth={3} fill="none" />
        <Polyline id={`${id}-arm2`} points="" stroke={theme.ink} strokeWidth={3} fill="none" />
        {[0, 1, 2, 3].map((i) => (
          <Circle
            key={i}
            id={`${id}-rotor${i}`}
            cx={-50}
            cy={-50}
            r={1}
            fill={theme.ground}
            stroke={theme.ink}
            strokeWidth={2}
          />
        ))}
        <Polyline id={`${id}-boom`} points="" stroke={theme.ink} strokeWidth={4} fill="none" />
        <Circle id={`${id}-nose`} cx={-50} cy={-50} r={1} stroke={theme.ink} strokeWidth={3} />
      </PictureFrame>
    </View>
  );
}

function MovingPlate({
  id,
  vertical,
  horizontal,
}: {
  readonly id: string;
  readonly vertical: Axis;
  readonly horizontal: Axis;
}) {
  const theme = useTheme();
  const middle = PLATE / 2;
  return (
    <View style={{ alignItems: 'center' }}>
      <Svg width={PLATE} height={PLATE} viewBox={`0 0 ${PLATE} ${PLATE}`} aria-hidden>
        <Rect
          x={2}
          y={2}
          width={PLATE - 4}
          height={PLATE - 4}
          fill={theme.shade}
          stroke={theme.ink}
          strokeWidth={3}
        />
        <Line x1={middle} y1={10} x2={middle} y2={PLATE - 10} stroke={theme.rule} strokeWidth={2} />
        <Line x1={10} y1={middle} x2={PLATE - 10} y2={middle} stroke={theme.rule} strokeWidth={2} />
        <Line
          id={`${id}-stem`}
          x1={middle}
          y1={middle}
          x2={middle}
          y2={middle}
          stroke={theme.ink}
          strokeWidth={5}
        />
        <Circle
          id={`${id}-knob`}
          cx={middle}
          cy={middle}
          r={15}
          fill={theme.ink}
          stroke={theme.ground}
          strokeWidth={3}
        />
      </Svg>
      <Words as="soft">{`${vertical} · ${horizontal}`}</Words>
    </View>
  );
}

/** Sets attributes of one part of the drawing. */
const put = (id: string, attributes: Readonly<Record<string, string | number>>) => {
  const part = document.getElementById(id);
  if (part) for (const [name, value] of Object.entries(attributes)) part.setAttribute(name, String(value));
};

function drawSticks(id: string, layout: StickLayout, { sticks }: Moment): void {
  const middle = PLATE / 2;
  const axes = axesOf(layout);
  for (const hand of ['left', 'right'] as const) {
    const { vertical, horizontal } = axes[hand];
    const [x, y] = [middle + sticks[horizontal] * TRAVEL, middle - sticks[vertical] * TRAVEL];
    put(`${id}-${hand}-knob`, { cx: x, cy: y });
    put(`${id}-${hand}-stem`, { x2: x, y2: y });
  }
}

function drawEye(
  id: string,
  moment: Moment,
  view: PilotsView,
  colours: { readonly near: string; readonly far: string },
): void {
  const horizon = Math.min(EYE_HEIGHT, EYE_MIDDLE - (horizonIn(view) * WIDTH) / 2);
  put(`${id}-ground`, { y: horizon });
  put(`${id}-horizon`, { y1: horizon, y2: horizon });
  const lean = {
    forward: moment.sticks.pitch * LEAN_AT_FULL_DEG,
    right: moment.sticks.roll * LEAN_AT_FULL_DEG,
  };
  const points = craftPoints(moment, DRAWN_SPAN_M, lean)
    .map((point) => seen(point, view))
    .map(({ across, up, awayM }) => ({
      x: WIDTH / 2 + (across * WIDTH) / 2,
      y: EYE_MIDDLE - (up * WIDTH) / 2,
      away: Math.max(1, awayM),
    }));
  const [frontRight, backRight, backLeft, frontLeft, nose] = points as [
    (typeof points)[0],
    (typeof points)[0],
    (typeof points)[0],
    (typeof points)[0],
    (typeof points)[0],
  ];
  const at = (...corners: readonly { readonly x: number; readonly y: number }[]) =>
    corners.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
  put(`${id}-arm1`, { points: at(frontRight!, backLeft!) });
  put(`${id}-arm2`, { points: at(frontLeft!, backRight!) });
  const radius = (away: number) =>
    Math.min(
      30,
      Math.max(3, (0.2 * DRAWN_SPAN_M * WIDTH) / (2 * away * Math.tan((view.halfDeg * Math.PI) / 180))),
    );
  [frontRight, backRight, backLeft, frontLeft].forEach((rotor, i) =>
    put(`${id}-rotor${i}`, { cx: rotor!.x, cy: rotor!.y, r: radius(rotor!.away) }),
  );
  const middle = {
    x: (frontRight!.x + backLeft!.x) / 2,
    y: (frontRight!.y + backLeft!.y) / 2,
    away: (frontRight!.away + backLeft!.away) / 2,
  };
  put(`${id}-boom`, { points: at(middle, nose!) });
  put(`${id}-nose`, {
    cx: nose!.x,
    cy: nose!.y,
    r: radius(nose!.away) * 0.6,
    fill: nose!.away < middle.away - NEARER_M ? colours.near : colours.far,
  });
}

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
  const [said, setSaid] = useState(moments[0]!.says ?? '');
  const lastSaid = useRef(said);
  const draw = useCallback(
    (t: number) => {
      const moment = momentAt(moments, t);
      drawSticks(id, layout, moment);
      put(`${id}-plan`, {
        transform: `translate(${frame.toX(moment.x).toFixed(1)} ${frame.toY(moment.y).toFixed(1)}) rotate(${moment.noseDeg.toFixed(1)})`,
      });
      put(`${id}-side`, {
        transform: `translate(${scale.toX(Math.hypot(moment.x, moment.y)).toFixed(1)} ${scale.toY(moment.z).toFixed(1)}) rotate(${(moment.sticks.pitch * LEAN_AT_FULL_DEG).toFixed(1)})`,
      });
      drawEye(id, moment, still ?? turningView(moment), { near: theme.ink, far: theme.ground });
      const says = moment.says ?? '';
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
      <View style={styles.sticks} role="img" aria-label={`Sticks of ${drillOf(drillId).name}`}>
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
