import { clockOf } from '../../shared/copy/clock';
import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FlightLane, LaneId, Stretch } from '@skelby/core/recorded-flight/stretch';
import { memo, type PointerEvent, useRef, useState } from 'react';
import { View } from 'react-native';
import { Line, Polygon, Rect } from 'react-native-svg';
import { type Speaking, useUnits } from '../../shared/api/use-units';
import { MODE_WORDS } from '../../shared/copy/copy';
import { Label, PictureFrame, WIDTH } from '../../shared/drawing/primitives';
import { useTheme } from '../../shared/ui/theme';

const [HEAD, LANE, GAP, LEFT] = [22, 34, 6, 62];
const ACROSS = WIDTH - LEFT - 4;

const NAMES: Readonly<Record<LaneId, string>> = {
  speed: 'Speed',
  height: 'Height',
  throttle: 'Throttle',
  yaw: 'Yaw',
  pitch: 'Pitch',
  roll: 'Roll',
  battery: 'Battery',
};
const isStick = (is: LaneId): boolean => ['throttle', 'yaw', 'pitch', 'roll'].includes(is);

/** What a lane spans: sticks and charge all of theirs, others what was flown. */
function spanOf({ is, least, most }: FlightLane): readonly [low: number, high: number] {
  if (isStick(is)) return [-1, 1];
  if (is === 'battery') return [0, 1];
  const known = (values: Float32Array) => [...values].filter(Number.isFinite);
  const [low, high] = [Math.min(0, ...known(least)), Math.max(...known(most))];
  return [low, Math.max(high, low + 1)];
}

const topWords = (lane: FlightLane, { say, sayM }: Speaking): string => {
  const [, high] = spanOf(lane);
  if (lane.is === 'speed') return say(high, 'm/s');
  return lane.is === 'height' ? sayM(high) : '';
};

/** Both edges of a lane, each unbroken part by itself. */
function partsOf({ least, most }: FlightLane): readonly (readonly number[])[] {
  const parts: number[][] = [];
  let open = false;
  for (let i = 0; i < least.length; i += 1) {
    const is = Number.isFinite(least[i]) && Number.isFinite(most[i]);
    if (is && !open) parts.push([]);
    if (is) parts.at(-1)!.push(i);
    open = is;
  }
  return parts;
}

function LaneDrawn({ lane, y }: { readonly lane: FlightLane; readonly y: number }) {
  const theme = useTheme();
  const units = useUnits();
  const [low, high] = spanOf(lane);
  const step = ACROSS / lane.least.length;
  const toY = (value: number) => y + LANE - ((value - low) / (high - low)) * LANE;
  return (
    <>
      <Rect x={LEFT} y={y} width={ACROSS} height={LANE} fill={theme.shade} />
      {isStick(lane.is) ? (
        <Line x1={LEFT} x2={LEFT + ACROSS} y1={y + LANE / 2} y2={y + LANE / 2} stroke={theme.rule} />
      ) : null}
      {partsOf(lane).map((part) => {
        const over = part.map((i) => `${LEFT + i * step},${toY(lane.most[i]!) - 0.7}`);
        const under = part.map((i) => `${LEFT + (i + 1) * step},${toY(lane.least[i]!) + 0.7}`);
        return <Polygon key={part[0]} points={[...over, ...under.reverse()].join(' ')} fill={theme.ink} />;
      })}
      <Label x={0} y={y + 14}>
        {NAMES[lane.is]}
      </Label>
      <Label x={0} y={y + 30} soft>
        {topWords(lane, units)}
      </Label>
    </>
  );
}

interface DrawnProps {
  readonly stretch: Stretch;
  readonly events: readonly FlightEvent[];
  readonly height: number;
}

/** All that stands still while it plays. */
const Drawn = memo(function Drawn({ stretch, events, height }: DrawnProps) {
  const theme = useTheme();
  const { fromS, toS, lanes, modes } = stretch;
  const toX = (t: number) => LEFT + ((t - fromS) / (toS - fromS)) * ACROSS;
  const modesY = HEAD + lanes.length * (LANE + GAP);
  return (
    <>
      {lanes.map((lane, i) => (
        <LaneDrawn key={lane.is} lane={lane} y={HEAD + i * (LANE + GAP)} />
      ))}
      {modes.length > 0 ? (
        <Label x={0} y={modesY + 15}>
          Mode
        </Label>
      ) : null}
      {modes.map(({ fromS: from, toS: to, mode }) => (
        <Rect
          key={from}
          x={toX(from)}
          y={modesY}
          width={Math.max(1, toX(to) - toX(from))}
          height={20}
          fill={mode === null ? theme.rule : theme.shade}
          stroke={theme.rule}
        />
      ))}
      {events.map(({ atS, is }) =>
        atS < fromS || atS > toS ? null : (
          <Line
            key={`${is} ${atS}`}
            x1={toX(atS)}
            x2={toX(atS)}
            y1={HEAD - 4}
            y2={height}
            stroke={theme.ink}
            strokeDasharray="2 3"
          />
        ),
      )}
      {events.map(({ atS, is }, i) =>
        atS < fromS || atS > toS ? null : (
          <Label key={`${is} ${atS}`} x={toX(atS)} y={14} anchor="middle">
            {String(i + 1)}
          </Label>
        ),
      )}
    </>
  );
});

interface LanesProps extends Omit<DrawnProps, 'height'> {
  readonly t: number;
  readonly onMove: (t: number) => void;
  /** A part was marked, to be seen nearer. */
  readonly onMark: (fromS: number, toS: number) => void;
}

/** Marked wider than this it is a part, else it is a moment; px. */
const PART_PX = 12;

/** A finger or mouse on the lanes: a touch goes to a moment, a stroke marks a part. */
function useBrush({ stretch: { fromS, toS }, onMove, onMark }: LanesProps) {
  const box = useRef<HTMLDivElement>(null);
  const [stroke, setStroke] = useState<readonly [number, number] | null>(null);
  const timeAt = (x: number) => {
    const { left, width } = box.current!.getBoundingClientRect();
    const share = ((x - left) / width) * WIDTH - LEFT;
    return Math.max(fromS, Math.min(toS, fromS + (share / ACROSS) * (toS - fromS)));
  };
  const isPart = (a: number, b: number) => Math.abs(b - a) > PART_PX;
  return {
    box,
    marked: stroke && isPart(...stroke) ? stroke.map(timeAt).sort((a, b) => a - b) : null,
    handlers: {
      onPointerDown: (event: PointerEvent) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setStroke([event.clientX, event.clientX]);
      },
      onPointerMove: (event: PointerEvent) => {
        if (stroke) setStroke([stroke[0], event.clientX]);
      },
      onPointerUp: (event: PointerEvent) => {
        if (!stroke) return;
        const [a, b] = [stroke[0], event.clientX];
        setStroke(null);
        if (isPart(a, b)) onMark(Math.min(timeAt(a), timeAt(b)), Math.max(timeAt(a), timeAt(b)));
        else onMove(timeAt(b));
      },
      onPointerCancel: () => setStroke(null),
    },
  };
}

/** What was flown, over time: one lane for each figure, the moment across all of them. */
export function FlightLanes(props: LanesProps) {
  const { stretch, events, t } = props;
  const theme = useTheme();
  const { box, marked, handlers } = useBrush(props);
  const { fromS, toS, lanes, modes } = stretch;
  const height = HEAD + lanes.length * (LANE + GAP) + (modes.length > 0 ? 24 : 0);
  const toX = (at: number) => LEFT + ((at - fromS) / (toS - fromS)) * ACROSS;
  const mode = modes.find((run) => t >= run.fromS && t <= run.toS);
  const inIt = events.filter(({ atS }) => atS >= fromS && atS <= toS);
  return (
    <View style={{ gap: 4, maxWidth: 560 }}>
      <div ref={box} style={{ touchAction: 'pan-y', cursor: 'crosshair' }} {...handlers}>
        <PictureFrame
          height={height}
          says={`From ${clockOf(fromS)} to ${clockOf(toS)}: ${lanes.map(({ is }) => NAMES[is].toLowerCase()).join(', ')}.${inIt.map(({ is, atS }) => ` ${eventName(is)} at ${clockOf(atS)}.`).join('')}`}
        >
          <Drawn stretch={stretch} events={events} height={height} />
          {marked ? (
            <Rect
              x={toX(marked[0]!)}
              y={HEAD - 4}
              width={toX(marked[1]!) - toX(marked[0]!)}
              height={height}
              fill={theme.accent}
              opacity={0.3}
            />
          ) : null}
          <Line x1={toX(t)} x2={toX(t)} y1={HEAD - 6} y2={height} stroke={theme.accent} strokeWidth={2.5} />
          {mode ? (
            <Label x={LEFT + 4} y={height - 9}>
              {mode.mode ? MODE_WORDS[mode.mode] : 'By itself, or unknown'}
            </Label>
          ) : null}
        </PictureFrame>
      </div>
    </View>
  );
}
