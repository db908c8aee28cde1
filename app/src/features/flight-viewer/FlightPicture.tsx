import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FieldPlace } from '@skelby/core/recorded-flight/reps/placement';
import { type DrawnPoint, pointAt } from '@skelby/core/recorded-flight/stretch';
import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import {
  Ground,
  Label,
  PictureFrame,
  PilotFigure,
  PilotSide,
  ScaleBar,
  WIDTH,
  WindArrow,
} from '../../shared/drawing/primitives';
import { Button } from '../../shared/ui/Button';
import { saveFile } from '../../shared/ui/save-file';
import { DrawnFlight, DrawnHere, Other, type PathProps, scaleOf, SetUp, TakeOffMark } from './path-drawing';

/** As high as what is drawn, between these, px of the picture. */
const PLAN_HEIGHT = [170, 300] as const;
const SIDE_HEIGHT = [120, 190] as const;
const said = (events: readonly FlightEvent[]): string =>
  events.length === 0 ? '' : ` ${events.map(({ is }, i) => `${i + 1} ${eventName(is)}`).join(', ')}.`;

const fromAbove = ({ x, y }: DrawnPoint) => [x, y] as const;
const fromSide = ({ x, y, z }: DrawnPoint) => [Math.hypot(x, y), z ?? 0] as const;

interface PictureProps extends PathProps {
  /** The moment that is looked at, s. */
  readonly t: number;
  /** Where a drill is set up, as lines over the ground. */
  readonly setUp: readonly (readonly FieldPlace[])[];
  /** Where the pilot stood; null: nobody has said. */
  readonly pilot: FieldPlace | null;
  /** Another flight, laid over it; empty: none. */
  readonly other: readonly DrawnPoint[];
  /** Where the wind comes from, clockwise from north; null: nobody knows. */
  readonly windFromDeg: number | null;
  /** A place on the plan is wanted; null: none is. */
  readonly onPlace: ((place: FieldPlace) => void) | null;
}

const saveDrawing = (drawing: Element | null | undefined): void => {
  if (drawing) saveFile('flight-plan.svg', new XMLSerializer().serializeToString(drawing), 'image/svg+xml');
};

/** From above, north up the picture. */
function FromAbove({ path, events, looked, t, setUp, pilot, other, windFromDeg, onPlace }: PictureProps) {
  const { sayM } = useUnits();
  const plan = useMemo(() => {
    const all = [...path, ...other, ...setUp.flat()];
    return scaleOf(
      all.map(({ x }) => x),
      all.map(({ y }) => y),
      PLAN_HEIGHT,
    );
  }, [path, other, setUp]);
  const farthestM = useMemo(() => Math.max(...path.map(({ x, y }) => Math.hypot(x, y))), [path]);
  const box = useRef<HTMLDivElement>(null);
  return (
    <>
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
          height={plan.height}
          says={`The flight from above, as far as ${sayM(farthestM)} from where it began.${said(events)}`}
        >
          <TakeOffMark x={plan.toX(0)} y={plan.toY(0)} />
          {pilot ? <PilotFigure x={plan.toX(pilot.x)} y={plan.toY(pilot.y)} /> : null}
          {windFromDeg === null ? null : (
            <>
              <WindArrow x={WIDTH - 24} y={44} fromDeg={windFromDeg} />
              <Label x={WIDTH - 42} y={78} soft>
                wind
              </Label>
            </>
          )}
          <SetUp lines={setUp} scale={plan} />
          <Other path={other} scale={plan} at={fromAbove} />
          <DrawnFlight path={path} events={events} looked={looked} scale={plan} at={fromAbove} />
          <DrawnHere point={pointAt(path, t)} scale={plan} at={fromAbove} />
          <Label x={8} y={16} soft>
            From above, north up; thicker is faster; □ take-off
          </Label>
          <ScaleBar x={12} y={plan.height - 8} pxPerM={plan.pxPerM} say={sayM} />
        </PictureFrame>
      </div>
      <Button
        kind="quiet"
        icon="image"
        label="Save the plan as a picture"
        onPress={() => saveDrawing(box.current?.querySelector('svg'))}
      />
    </>
  );
}

/** From the side, as far as heights were recorded. */
function FromTheSide({ path, events, looked, t, other }: PictureProps) {
  const { sayM } = useUnits();
  const side = useMemo(() => {
    const all = [...path, ...other];
    return scaleOf(
      all.map((point) => fromSide(point)[0]),
      all.map(({ z }) => z ?? 0),
      SIDE_HEIGHT,
    );
  }, [path, other]);
  const highestM = useMemo(() => Math.max(...path.map(({ z }) => z ?? -Infinity)), [path]);
  if (!Number.isFinite(highestM)) return null;
  return (
    <PictureFrame
      height={side.height}
      says={`The flight from the side: distance across, height up to ${sayM(highestM)}.`}
    >
      <Ground y={side.toY(0)} />
      <PilotSide x={side.toX(0)} y={side.toY(0)} />
      <Other path={other} scale={side} at={fromSide} />
      <DrawnFlight path={path} events={events} looked={looked} scale={side} at={fromSide} />
      <DrawnHere point={pointAt(path, t)} scale={side} at={fromSide} />
      <Label x={8} y={16} soft>
        From the side, by distance
      </Label>
      <ScaleBar x={12} y={side.height - 4} pxPerM={side.pxPerM} say={sayM} />
    </PictureFrame>
  );
}

/** A flight as a picture; on paper both sides of it stand beside each other. */
export function FlightPicture({
  isBeside = false,
  ...props
}: PictureProps & { readonly isBeside?: boolean }) {
  const half = isBeside ? { flex: 1 } : null;
  return (
    <View style={isBeside ? { flexDirection: 'row', gap: 12 } : { gap: 4 }}>
      <View style={half}>
        <FromAbove {...props} />
      </View>
      <View style={half}>
        <FromTheSide {...props} />
      </View>
    </View>
  );
}
