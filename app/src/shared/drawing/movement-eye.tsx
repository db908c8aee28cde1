import { type Moment } from '@skelby/core/choreography/fly';
import type { Mark } from '@skelby/core/choreography/scene';
import { craftPoints, horizonIn, seen, type View as PilotsView } from '@skelby/core/choreography/seen';
import { View } from 'react-native';
import { Circle, Line, Polygon, Polyline, Rect } from 'react-native-svg';
import { Label, PictureFrame, WIDTH } from './primitives';
import { themed, useTheme } from '../ui/theme';

import { LEAN_AT_FULL_DEG, putOn } from './movement-parts';

const EYE_HEIGHT = 170;
/** A real craft would be a speck: it is drawn this wide in the pilot's view, m. */
const DRAWN_SPAN_M = 1.1;
/** Where the middle of the view stands in its picture. */
const EYE_MIDDLE = EYE_HEIGHT * 0.72;
/**
 * Tips of rotors toward the pilot are seen this much sooner than the rest: the nose is filled when it is the
 * near end.
 */
const NEARER_M = 0.05;

const useStyles = themed((theme) => ({ eye: { borderWidth: 2, borderColor: theme.ink } }));

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
  const [left, right] = [mark.x - half, mark.x + half];
  const frame = [corner(left, 0), corner(left, height), corner(right, height), corner(right, 0)].join(' ');
  if (mark.is === 'gate' || mark.is === 'roof')
    return <Polyline points={frame} stroke={theme.ink} strokeWidth={3} fill="none" />;
  if (mark.is === 'wall')
    return <Polygon points={frame} stroke={theme.ink} strokeWidth={3} fill={theme.rule} />;
  return null;
}

/**
 * What the pilot sees: horizon, marks, and the craft larger than it is. Its nose is filled while it is the
 * near end.
 */
export function PilotsEye({
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

export function drawEye(
  id: string,
  moment: Moment,
  view: PilotsView,
  colours: { readonly near: string; readonly far: string },
): void {
  const horizon = Math.min(EYE_HEIGHT, EYE_MIDDLE - (horizonIn(view) * WIDTH) / 2);
  putOn(`${id}-ground`, { y: horizon });
  putOn(`${id}-horizon`, { y1: horizon, y2: horizon });
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
  putOn(`${id}-arm1`, { points: at(frontRight!, backLeft!) });
  putOn(`${id}-arm2`, { points: at(frontLeft!, backRight!) });
  const radius = (away: number) =>
    Math.min(
      30,
      Math.max(3, (0.2 * DRAWN_SPAN_M * WIDTH) / (2 * away * Math.tan((view.halfDeg * Math.PI) / 180))),
    );
  [frontRight, backRight, backLeft, frontLeft].forEach((rotor, i) =>
    putOn(`${id}-rotor${i}`, { cx: rotor!.x, cy: rotor!.y, r: radius(rotor!.away) }),
  );
  const middle = {
    x: (frontRight!.x + backLeft!.x) / 2,
    y: (frontRight!.y + backLeft!.y) / 2,
    away: (frontRight!.away + backLeft!.away) / 2,
  };
  putOn(`${id}-boom`, { points: at(middle, nose!) });
  putOn(`${id}-nose`, {
    cx: nose!.x,
    cy: nose!.y,
    r: radius(nose!.away) * 0.6,
    fill: nose!.away < middle.away - NEARER_M ? colours.near : colours.far,
  });
}
