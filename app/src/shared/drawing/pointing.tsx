import { axesOf, type StickLayout } from '@skelby/core/vocabulary/flying';
import { type GestureResponderEvent, Pressable, View } from 'react-native';
import Svg, { Circle, G, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import {
  CraftPlan,
  CraftSide,
  Ground,
  Label,
  PilotFigure,
  PilotSide,
  ScaleBar,
  WindArrow,
} from './primitives';

/**
 * Answers given by pointing at a picture. Each has buttons beside it that do the same, for keyboard and
 * screen reader.
 */

const RING = 240;
const MIDDLE = RING / 2;
const SNAP_DEG = 15;

/** Where on the picture the finger was, as shares of its width and height. On the web a press is a click. */
function touchedAt(event: GestureResponderEvent): { readonly x: number; readonly y: number } {
  const { left, top, width, height } = (event.currentTarget as unknown as Element).getBoundingClientRect();
  const { clientX, clientY } = event.nativeEvent as unknown as MouseEvent;
  return { x: (clientX - left) / width, y: (clientY - top) / height };
}

export interface RingProps {
  /** What turns: the craft's nose, or the wind against the way it was moving. */
  readonly what: 'nose' | 'wind';
  /** Clockwise from the top, °; null when nothing is chosen. */
  readonly bearingDeg: number | null;
  readonly onPoint: (bearingDeg: number) => void;
}

export function RingDrawing({ what, bearingDeg, onPoint }: RingProps) {
  const theme = useTheme();
  const press = (event: GestureResponderEvent) => {
    const { x, y } = touchedAt(event);
    const degrees = (Math.atan2(x - 0.5, 0.5 - y) * 180) / Math.PI;
    onPoint((Math.round(degrees / SNAP_DEG) * SNAP_DEG + 360) % 360);
  };
  return (
    <Pressable onPress={press} style={{ width: RING, height: RING }} aria-hidden tabIndex={-1}>
      <Svg width={RING} height={RING} viewBox={`0 0 ${RING} ${RING}`} pointerEvents="none">
        <Circle cx={MIDDLE} cy={MIDDLE} r={92} fill={theme.shade} stroke={theme.ink} strokeWidth={3} />
        {Array.from({ length: 24 }, (_, i) => i * SNAP_DEG).map((degrees) => (
          <Line
            key={degrees}
            x1={MIDDLE}
            y1={28}
            x2={MIDDLE}
            y2={degrees % 90 === 0 ? 44 : 35}
            stroke={theme.ink}
            strokeWidth={degrees % 90 === 0 ? 4 : 2}
            transform={`rotate(${degrees} ${MIDDLE} ${MIDDLE})`}
          />
        ))}
        {what === 'nose' ? (
          <>
            <CraftPlan x={MIDDLE} y={MIDDLE} size={78} noseDeg={bearingDeg ?? 0} />
            {bearingDeg === null ? (
              <Label x={MIDDLE} y={MIDDLE + 58} anchor="middle">
                tap where the nose points
              </Label>
            ) : null}
            <PilotFigure x={MIDDLE} y={RING - 8} />
          </>
        ) : (
          <>
            <CraftPlan x={MIDDLE} y={MIDDLE} size={54} />
            <Line
              x1={MIDDLE}
              y1={MIDDLE + 30}
              x2={MIDDLE}
              y2={MIDDLE + 62}
              stroke={theme.ink}
              strokeWidth={3}
              strokeDasharray="5 4"
            />
            {bearingDeg === null ? (
              <Label x={MIDDLE} y={MIDDLE - 54} anchor="middle">
                tap where it comes from
              </Label>
            ) : (
              <G transform={`rotate(${bearingDeg} ${MIDDLE} ${MIDDLE})`}>
                <WindArrow x={MIDDLE} y={46} fromDeg={0} length={44} />
              </G>
            )}
          </>
        )}
      </Svg>
    </Pressable>
  );
}

const SIDE = { width: 340, height: 200, ground: 176, pilot: 18 } as const;

export interface SideViewProps {
  /** How many metres the picture is wide. */
  readonly reachM: number;
  readonly distanceM: number | null;
  readonly heightM: number | null;
  readonly onPoint: (distanceM: number, heightM: number) => void;
  readonly say: (metres: number) => string;
}

export function SideViewDrawing({ reachM, distanceM, heightM, onPoint, say }: SideViewProps) {
  const theme = useTheme();
  const px = (SIDE.width - SIDE.pilot) / reachM;
  const press = (event: GestureResponderEvent) => {
    const { x, y } = touchedAt(event);
    onPoint(
      Math.max(0, (x * SIDE.width - SIDE.pilot) / px),
      Math.max(0, (SIDE.ground - y * SIDE.height) / px),
    );
  };
  const there = distanceM !== null || heightM !== null;
  const [x, y] = [
    SIDE.pilot + Math.min(reachM, distanceM ?? reachM / 2) * px,
    Math.max(10, SIDE.ground - (heightM ?? reachM / 5) * px),
  ];
  return (
    <Pressable
      onPress={press}
      style={{ width: '100%', maxWidth: 560, aspectRatio: SIDE.width / SIDE.height }}
      aria-hidden
      tabIndex={-1}
    >
      <Svg width="100%" height="100%" viewBox={`0 0 ${SIDE.width} ${SIDE.height}`} pointerEvents="none">
        <Rect x={0} y={0} width={SIDE.width} height={SIDE.ground} fill={theme.shade} />
        {[0.25, 0.5, 0.75, 1].map((share) => (
          <Line
            key={share}
            x1={SIDE.pilot + share * reachM * px}
            y1={0}
            x2={SIDE.pilot + share * reachM * px}
            y2={SIDE.ground}
            stroke={theme.rule}
            strokeWidth={1.5}
          />
        ))}
        <Ground y={SIDE.ground} x2={SIDE.width} />
        <PilotSide x={SIDE.pilot} y={SIDE.ground} />
        {there ? (
          <>
            <Line
              x1={x}
              y1={y}
              x2={x}
              y2={SIDE.ground}
              stroke={theme.ink}
              strokeWidth={2}
              strokeDasharray="4 4"
            />
            <CraftSide x={x} y={y} />
          </>
        ) : (
          <Label x={SIDE.width / 2} y={SIDE.height / 2} anchor="middle">
            tap where it was
          </Label>
        )}
        <ScaleBar x={SIDE.width - 110} y={18} pxPerM={px} say={say} />
      </Svg>
    </Pressable>
  );
}

const PLATE = 132;

export interface SticksProps {
  readonly layout: StickLayout;
  readonly value: string | null;
  readonly onPoint: (value: 'released' | 'small' | 'large') => void;
}

/** Two plates: the middle is let go, the inner square small inputs, the outer large ones. */
export function SticksDrawing({ layout, value, onPoint }: SticksProps) {
  const theme = useTheme();
  const axes = axesOf(layout);
  const press = (event: GestureResponderEvent) => {
    const { x, y } = touchedAt(event);
    const away = 2 * Math.max(Math.abs(x - 0.5), Math.abs(y * ((PLATE + 24) / PLATE) - 0.5));
    onPoint(away < 0.2 ? 'released' : away < 0.55 ? 'small' : 'large');
  };
  return (
    <View style={{ flexDirection: 'row', gap: 16 }}>
      {[axes.left, axes.right].map((plate, i) => (
        <Pressable
          key={i}
          onPress={press}
          style={{ width: PLATE, height: PLATE + 24 }}
          aria-hidden
          tabIndex={-1}
        >
          <Svg width={PLATE} height={PLATE + 24} viewBox={`0 0 ${PLATE} ${PLATE + 24}`} pointerEvents="none">
            <Rect
              x={2}
              y={2}
              width={PLATE - 4}
              height={PLATE - 4}
              fill={value === 'large' ? theme.rule : theme.shade}
              stroke={theme.ink}
              strokeWidth={3}
            />
            <Rect
              x={PLATE * 0.225}
              y={PLATE * 0.225}
              width={PLATE * 0.55}
              height={PLATE * 0.55}
              fill={value === 'small' ? theme.rule : theme.ground}
              stroke={theme.ink}
              strokeWidth={2}
            />
            <Circle
              cx={PLATE / 2}
              cy={PLATE / 2}
              r={PLATE * 0.1}
              fill={value === 'released' ? theme.ink : theme.ground}
              stroke={theme.ink}
              strokeWidth={3}
            />
            <Label
              x={PLATE / 2}
              y={PLATE + 16}
              anchor="middle"
            >{`${plate.vertical}, ${plate.horizontal}`}</Label>
          </Svg>
        </Pressable>
      ))}
    </View>
  );
}
