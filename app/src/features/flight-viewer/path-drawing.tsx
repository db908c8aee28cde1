import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FieldPlace } from '@skelby/core/recorded-flight/reps/placement';
import { type DrawnPoint, pointAt } from '@skelby/core/recorded-flight/stretch';
import { unbroken } from '@skelby/core/recorded-flight/unbroken';
import { Fragment, memo } from 'react';
import { Circle, Polyline, Rect, Text } from 'react-native-svg';
import { WIDTH } from '../../shared/drawing/primitives';
import { FONT, useTheme } from '../../shared/ui/theme';

const ROOM = 26;
/** Over what is drawn stands a line of words. */
const WORDS = 14;

/** Where a flight stands in a picture: its ends, and how many points of the picture a metre is. */
export interface PictureScale {
  readonly toX: (value: number) => number;
  readonly toY: (value: number) => number;
  readonly pxPerM: number;
  readonly height: number;
  /** The place of a point of the picture. */
  readonly back: (x: number, y: number) => FieldPlace;
}

const endsOf = (values: readonly number[]): readonly [number, number] => [
  Math.min(0, ...values),
  Math.max(0, ...values),
];

/** To scale both ways, so that a circle stays one. @param heights least and most height of the picture */
export function scaleOf(
  across: readonly number[],
  up: readonly number[],
  [least, most]: readonly [number, number],
): PictureScale {
  const [x1, x2] = endsOf(across);
  const [y1, y2] = endsOf(up);
  const around = 2 * ROOM + WORDS;
  const pxPerM = Math.min((WIDTH - 2 * ROOM) / Math.max(8, x2 - x1), (most - around) / Math.max(4, y2 - y1));
  const height = Math.max(least, Math.ceil((y2 - y1) * pxPerM) + around);
  const middle = (x1 + x2) / 2;
  // What is lower than the picture stands in its middle.
  const floor = height - ROOM - (height - around - (y2 - y1) * pxPerM) / 2;
  return {
    pxPerM,
    height,
    toX: (value) => WIDTH / 2 + (value - middle) * pxPerM,
    toY: (value) => floor - (value - y1) * pxPerM,
    back: (x, y) => ({ x: middle + (x - WIDTH / 2) / pxPerM, y: y1 + (floor - y) / pxPerM }),
  };
}

export interface PathProps {
  readonly path: readonly DrawnPoint[];
  readonly events: readonly FlightEvent[];
  /** The event that is looked at; null: none. */
  readonly looked: number | null;
}

interface DrawnProps extends PathProps {
  readonly scale: PictureScale;
  readonly at: (point: DrawnPoint) => readonly [x: number, y: number];
}

/** Slower than each of these, as a share of the fastest, the line is so much thinner. */
const WIDTHS = [
  { under: 1 / 3, width: 1.5 },
  { under: 2 / 3, width: 3 },
  { under: Infinity, width: 5 },
] as const;

/** Runs of one width, each beginning where the last ended. */
function runsBySpeed(points: readonly DrawnPoint[], fastest: number) {
  const widthOf = ({ speedMps }: DrawnPoint) =>
    WIDTHS.find(({ under }) => speedMps <= under * Math.max(1, fastest))!.width;
  const runs: { width: number; points: DrawnPoint[] }[] = [];
  points.forEach((point, i) => {
    const width = widthOf(point);
    const last = runs.at(-1);
    if (last?.width === width) last.points.push(point);
    else runs.push({ width, points: i > 0 ? [points[i - 1]!, point] : [point] });
  });
  return runs;
}

const placeIn =
  ({ scale, at }: Pick<DrawnProps, 'scale' | 'at'>) =>
  (point: DrawnPoint) => {
    const [x, y] = at(point);
    return [scale.toX(x), scale.toY(y)] as const;
  };

/** The path, thicker where it was faster, and on it each event with its number. Stands still while it plays. */
export const DrawnFlight = memo(function DrawnFlight({ path, events, looked, scale, at }: DrawnProps) {
  const theme = useTheme();
  const place = placeIn({ scale, at });
  const fastest = Math.max(...path.map(({ speedMps }) => speedMps));
  const [fromS, toS] = [path[0]?.t ?? 0, path.at(-1)?.t ?? 0];
  return (
    <>
      {unbroken(path)
        .flatMap((points) => runsBySpeed(points, fastest))
        .map(({ points, width }) => (
          <Polyline
            key={points.at(-1)!.t}
            points={points.map((point) => place(point).join(',')).join(' ')}
            fill="none"
            stroke={theme.ink}
            strokeWidth={width}
            strokeLinejoin="round"
          />
        ))}
      {events.map(({ atS, is }, i) => {
        if (atS < fromS - 1 || atS > toS + 1) return null;
        const [x, y] = place(pointAt(path, atS));
        const isLooked = i === looked;
        return (
          <Fragment key={`${is} ${atS}`}>
            <Circle
              cx={x}
              cy={y}
              r={isLooked ? 13 : 9}
              fill={isLooked ? theme.accent : theme.ground}
              stroke={isLooked ? theme.accent : theme.ink}
              strokeWidth={2}
            />
            <Text
              x={x}
              y={y + 4}
              fontSize={11}
              fontFamily={FONT.bold}
              fill={isLooked ? theme.ground : theme.ink}
              textAnchor="middle"
            >
              {String(i + 1)}
            </Text>
          </Fragment>
        );
      })}
    </>
  );
});

/** Where it took off. */
export function TakeOffMark({ x, y }: { readonly x: number; readonly y: number }) {
  const theme = useTheme();
  return (
    <Rect x={x - 7} y={y - 7} width={14} height={14} fill={theme.ground} stroke={theme.ink} strokeWidth={2} />
  );
}

/** Where the craft is at the moment that is looked at. */
export function DrawnHere({
  point,
  scale,
  at,
}: Pick<DrawnProps, 'scale' | 'at'> & { readonly point: DrawnPoint }) {
  const theme = useTheme();
  const [x, y] = placeIn({ scale, at })(point);
  return (
    <>
      <Circle cx={x} cy={y} r={7} fill={theme.accent} />
      <Circle cx={x} cy={y} r={11} fill="none" stroke={theme.accent} strokeWidth={2} />
    </>
  );
}

/** Another flight, dashed. */
export const Other = memo(function Other({ path, scale, at }: Pick<DrawnProps, 'path' | 'scale' | 'at'>) {
  const theme = useTheme();
  const place = placeIn({ scale, at });
  return unbroken(path).map((points) => (
    <Polyline
      key={points[0]!.t}
      points={points.map((point) => place(point).join(',')).join(' ')}
      fill="none"
      stroke={theme.soft}
      strokeWidth={2}
      strokeDasharray="3 4"
    />
  ));
});

/** The way of a drill as it lies in the field. */
export function SetUp({
  lines,
  scale,
}: {
  readonly lines: readonly (readonly FieldPlace[])[];
  readonly scale: PictureScale;
}) {
  const theme = useTheme();
  return lines.map((line, i) => (
    <Polyline
      key={i}
      points={line.map(({ x, y }) => `${scale.toX(x)},${scale.toY(y)}`).join(' ')}
      fill="none"
      stroke={theme.accent}
      strokeWidth={2.5}
      strokeDasharray="7 5"
    />
  ));
}
