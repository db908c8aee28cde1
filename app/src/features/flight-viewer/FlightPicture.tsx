import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FieldPlace } from '@skelby/core/recorded-flight/reps/placement';
import { type DrawnPoint, pointAt } from '@skelby/core/recorded-flight/stretch';
import { unbroken } from '@skelby/core/recorded-flight/unbroken';
import { Fragment, memo, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { Circle, Polyline, Text } from 'react-native-svg';
import { useUnits } from '../../shared/api/use-units';
import {
  Ground,
  Label,
  PictureFrame,
  PilotFigure,
  PilotSide,
  ScaleBar,
  WIDTH,
} from '../../shared/drawing/primitives';
import { Button } from '../../shared/ui/Button';
import { saveFile } from '../../shared/ui/save-file';
import { FONT, useTheme } from '../../shared/ui/theme';

const PLAN_HEIGHT = 300;
const SIDE_HEIGHT = 190;
const ROOM = 26;

/** Where a flight stands in a picture: its ends, and how many points of the picture a metre is. */
interface PictureScale {
  readonly toX: (value: number) => number;
  readonly toY: (value: number) => number;
  readonly pxPerM: number;
  /** The place of a point of the picture. */
  readonly back: (x: number, y: number) => FieldPlace;
}

const endsOf = (values: readonly number[]): readonly [number, number] => [
  Math.min(0, ...values),
  Math.max(0, ...values),
];

/** To scale both ways, so that a circle stays one. */
function scaleOf(across: readonly number[], up: readonly number[], height: number): PictureScale {
  const [x1, x2] = endsOf(across);
  const [y1, y2] = endsOf(up);
  const pxPerM = Math.min(
    (WIDTH - 2 * ROOM) / Math.max(8, x2 - x1),
    (height - 2 * ROOM) / Math.max(4, y2 - y1),
  );
  const middle = (x1 + x2) / 2;
  return {
    pxPerM,
    toX: (value) => WIDTH / 2 + (value - middle) * pxPerM,
    toY: (value) => height - ROOM - (value - y1) * pxPerM,
    back: (x, y) => ({ x: middle + (x - WIDTH / 2) / pxPerM, y: y1 + (height - ROOM - y) / pxPerM }),
  };
}

interface PathProps {
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
const Drawn = memo(function Drawn({ path, events, looked, scale, at }: DrawnProps) {
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

/** Where the craft is at the moment that is looked at. */
function Here({ point, scale, at }: Pick<DrawnProps, 'scale' | 'at'> & { readonly point: DrawnPoint }) {
  const theme = useTheme();
  const [x, y] = placeIn({ scale, at })(point);
  return (
    <>
      <Circle cx={x} cy={y} r={7} fill={theme.accent} />
      <Circle cx={x} cy={y} r={11} fill="none" stroke={theme.accent} strokeWidth={2} />
    </>
  );
}

const said = (events: readonly FlightEvent[]): string =>
  events.length === 0 ? '' : ` ${events.map(({ is }, i) => `${i + 1} ${eventName(is)}`).join(', ')}.`;

const fromAbove = ({ x, y }: DrawnPoint) => [x, y] as const;
const fromSide = ({ x, y, z }: DrawnPoint) => [Math.hypot(x, y), z ?? 0] as const;

interface PictureProps extends PathProps {
  /** The moment that is looked at, s. */
  readonly t: number;
  /** Where a drill is set up, as lines over the ground. */
  readonly setUp: readonly (readonly FieldPlace[])[];
  /** Where the pilot stood in it; null: where it took off. */
  readonly pilot: FieldPlace | null;
  /** Another flight, laid over it; empty: none. */
  readonly other: readonly DrawnPoint[];
  /** A place on the plan is wanted; null: none is. */
  readonly onPlace: ((place: FieldPlace) => void) | null;
}

/** Another flight, dashed. */
const Other = memo(function Other({ path, scale, at }: Pick<DrawnProps, 'path' | 'scale' | 'at'>) {
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
function SetUp({ lines, scale }: { readonly lines: PictureProps['setUp']; readonly scale: PictureScale }) {
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

/** From above, north up the picture, and from the side as far as heights were recorded. */
export function FlightPicture({ path, events, looked, t, setUp, pilot, other, onPlace }: PictureProps) {
  const { sayM } = useUnits();
  const plan = useMemo(
    () =>
      scaleOf(
        [...path, ...other, ...setUp.flat()].map(({ x }) => x),
        [...path, ...other, ...setUp.flat()].map(({ y }) => y),
        PLAN_HEIGHT,
      ),
    [path, other, setUp],
  );
  const side = useMemo(
    () =>
      scaleOf(
        [...path, ...other].map((point) => fromSide(point)[0]),
        [...path, ...other].map(({ z }) => z ?? 0),
        SIDE_HEIGHT,
      ),
    [path, other],
  );
  const farthestM = useMemo(() => Math.max(...path.map(({ x, y }) => Math.hypot(x, y))), [path]);
  const highestM = useMemo(() => Math.max(...path.map(({ z }) => z ?? -Infinity)), [path]);
  const here = pointAt(path, t);
  const box = useRef<HTMLDivElement>(null);
  const drawn = { path, events, looked };
  return (
    <View style={{ gap: 4 }}>
      <div
        ref={box}
        onClick={(event) => {
          const { left, width, top } = event.currentTarget.getBoundingClientRect();
          const px = WIDTH / width;
          onPlace?.(plan.back((event.clientX - left) * px, (event.clientY - top) * px));
        }}
        style={{ maxWidth: 560, ...(onPlace ? { cursor: 'crosshair' } : {}) }}
      >
        <PictureFrame
          height={PLAN_HEIGHT}
          says={`The flight from above, as far as ${sayM(farthestM)} from where it began.${said(events)}`}
        >
          <PilotFigure x={plan.toX(pilot?.x ?? 0)} y={plan.toY(pilot?.y ?? 0)} />
          <SetUp lines={setUp} scale={plan} />
          <Other path={other} scale={plan} at={fromAbove} />
          <Drawn {...drawn} scale={plan} at={fromAbove} />
          <Here point={here} scale={plan} at={fromAbove} />
          <Label x={8} y={16} soft>
            From above, north up; thicker is faster
          </Label>
          <ScaleBar x={12} y={PLAN_HEIGHT - 8} pxPerM={plan.pxPerM} say={sayM} />
        </PictureFrame>
      </div>
      <Button
        kind="quiet"
        icon="image"
        label="Save the plan as a picture"
        onPress={() => {
          const drawing = box.current?.querySelector('svg');
          if (drawing)
            saveFile('flight-plan.svg', new XMLSerializer().serializeToString(drawing), 'image/svg+xml');
        }}
      />
      {Number.isFinite(highestM) ? (
        <PictureFrame
          height={SIDE_HEIGHT}
          says={`The flight from the side: distance across, height up to ${sayM(highestM)}.`}
        >
          <Ground y={side.toY(0)} />
          <PilotSide x={side.toX(0)} y={side.toY(0)} />
          <Other path={other} scale={side} at={fromSide} />
          <Drawn {...drawn} scale={side} at={fromSide} />
          <Here point={here} scale={side} at={fromSide} />
          <Label x={8} y={16} soft>
            From the side, by distance
          </Label>
          <ScaleBar x={12} y={SIDE_HEIGHT - 4} pxPerM={side.pxPerM} say={sayM} />
        </PictureFrame>
      ) : null}
    </View>
  );
}
