import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FlightView, DrawnPoint } from '@skelby/core/recorded-flight/flight-view';
import { Fragment } from 'react';
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
import { FONT, useTheme } from '../../shared/ui/theme';
import { unbroken } from '@skelby/core/recorded-flight/unbroken';

const PLAN_HEIGHT = 300;
const SIDE_HEIGHT = 190;
const ROOM = 26;

/** Where a flight stands in a picture: its ends, and how many points of the picture a metre is. */
interface PictureScale {
  readonly toX: (value: number) => number;
  readonly toY: (value: number) => number;
  readonly pxPerM: number;
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
  };
}

/** The point of the path that is nearest in time. */
const pointAt = (path: readonly DrawnPoint[], t: number): DrawnPoint =>
  path.reduce((best, each) => (Math.abs(each.t - t) < Math.abs(best.t - t) ? each : best));

interface ViewProps {
  readonly view: FlightView;
  /** The event that is looked at; null: none. */
  readonly looked: number | null;
}

interface DrawnProps extends ViewProps {
  readonly scale: PictureScale;
  readonly at: (point: DrawnPoint) => readonly [x: number, y: number];
}

/** The path, and on it each event with its number. */
function Drawn({ view: { path, events }, looked, scale, at }: DrawnProps) {
  const theme = useTheme();
  const place = (point: DrawnPoint) => {
    const [x, y] = at(point);
    return [scale.toX(x), scale.toY(y)] as const;
  };
  return (
    <>
      {unbroken(path).map((points) => (
        <Polyline
          key={points[0]!.t}
          points={points.map((point) => place(point).join(',')).join(' ')}
          fill="none"
          stroke={theme.ink}
          strokeWidth={2}
        />
      ))}
      {events.map(({ atS, is }, i) => {
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
}

const said = (events: readonly FlightEvent[]): string =>
  events.length === 0 ? '' : ` ${events.map(({ is }, i) => `${i + 1} ${eventName(is)}`).join(', ')}.`;

/** From above, north up the picture, and from the side as far as heights were recorded. */
export function FlightPicture({ view, looked }: ViewProps) {
  const { sayM } = useUnits();
  const { path, events, farthestM, highestM } = view;
  const plan = scaleOf(
    path.map(({ x }) => x),
    path.map(({ y }) => y),
    PLAN_HEIGHT,
  );
  const distances = path.map(({ x, y }) => Math.hypot(x, y));
  const side = scaleOf(
    distances,
    path.map(({ z }) => z ?? 0),
    SIDE_HEIGHT,
  );
  return (
    <View style={{ gap: 4 }}>
      <PictureFrame
        height={PLAN_HEIGHT}
        says={`The flight from above, as far as ${sayM(farthestM)} from where it began.${said(events)}`}
      >
        <PilotFigure x={plan.toX(0)} y={plan.toY(0)} />
        <Drawn view={view} looked={looked} scale={plan} at={({ x, y }) => [x, y]} />
        <Label x={8} y={16} soft>
          From above, north up
        </Label>
        <ScaleBar x={12} y={PLAN_HEIGHT - 8} pxPerM={plan.pxPerM} say={sayM} />
      </PictureFrame>
      {highestM === null ? null : (
        <PictureFrame
          height={SIDE_HEIGHT}
          says={`The flight from the side: distance across, height up to ${sayM(highestM)}.`}
        >
          <Ground y={side.toY(0)} />
          <PilotSide x={side.toX(0)} y={side.toY(0)} />
          <Drawn view={view} looked={looked} scale={side} at={({ x, y, z }) => [Math.hypot(x, y), z ?? 0]} />
          <Label x={8} y={16} soft>
            From the side, by distance
          </Label>
          <ScaleBar x={12} y={SIDE_HEIGHT - 4} pxPerM={side.pxPerM} say={sayM} />
        </PictureFrame>
      )}
    </View>
  );
}
