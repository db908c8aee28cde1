import type { ReactNode } from 'react';
import Svg, { Circle, G, Line, Polygon, Polyline, Rect, Text } from 'react-native-svg';
import { FONT, useTheme } from '../ui/theme';

/**
 * The one drawing language: the pilot and where they look, the craft with its nose, wind, marks, the path
 * flown, all to scale.
 */

export const WIDTH = 340;

interface At {
  readonly x: number;
  readonly y: number;
}

/** A picture that fills the width it is given; `says` tells in words what it shows. */
export function PictureFrame({
  height,
  says,
  children,
}: {
  readonly height: number;
  readonly says: string;
  readonly children: ReactNode;
}) {
  return (
    <Svg
      width="100%"
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={says}
      style={{ aspectRatio: WIDTH / height, maxWidth: 560 }}
    >
      {children}
    </Svg>
  );
}

export function Label({
  x,
  y,
  children,
  anchor = 'start',
  bold = false,
  soft = false,
}: At & {
  readonly children: string;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly bold?: boolean;
  readonly soft?: boolean;
}) {
  const theme = useTheme();
  return (
    <Text
      x={x}
      y={y}
      fontSize={13}
      fontFamily={bold ? FONT.bold : FONT.plain}
      fill={soft ? theme.soft : theme.ink}
      textAnchor={anchor}
    >
      {children}
    </Text>
  );
}

/** Stands and looks up the picture. */
export function PilotFigure({ x, y }: At) {
  const theme = useTheme();
  return (
    <G>
      <Polygon
        points={`${x},${y - 16} ${x - 9},${y - 2} ${x + 9},${y - 2}`}
        fill="none"
        stroke={theme.ink}
        strokeWidth={2.5}
      />
      <Circle cx={x} cy={y + 4} r={7} fill={theme.ink} />
    </G>
  );
}

/** The pilot from the side. */
export function PilotSide({ x, y }: At) {
  const theme = useTheme();
  return (
    <G>
      <Circle cx={x} cy={y - 22} r={5} fill={theme.ink} />
      <Line x1={x} y1={y - 17} x2={x} y2={y} stroke={theme.ink} strokeWidth={5} />
    </G>
  );
}

const rotated = (x: number, y: number, degrees: number) => `rotate(${degrees} ${x} ${y})`;

/** From above: four rotors, and a filled wedge for the nose, which points up the picture at 0°. */
export function CraftPlan({
  x,
  y,
  size = 26,
  noseDeg = 0,
}: At & { readonly size?: number; readonly noseDeg?: number }) {
  const theme = useTheme();
  const arm = size * 0.36;
  return (
    <G transform={rotated(x, y, noseDeg)}>
      {[
        [-1, -1],
        [1, -1],
        [-1, 1],
        [1, 1],
      ].map(([dx, dy]) => (
        <G key={`${dx}${dy}`}>
          <Line x1={x} y1={y} x2={x + arm * dx!} y2={y + arm * dy!} stroke={theme.ink} strokeWidth={2.5} />
          <Circle
            cx={x + arm * dx!}
            cy={y + arm * dy!}
            r={size * 0.2}
            fill={theme.ground}
            stroke={theme.ink}
            strokeWidth={2}
          />
        </G>
      ))}
      <Polygon
        points={`${x},${y - size * 0.75} ${x - size * 0.26},${y - size * 0.1} ${x + size * 0.26},${y - size * 0.1}`}
        fill={theme.ink}
      />
    </G>
  );
}

/** From the side, nose to the right; leaning forward is positive. */
export function CraftSide({
  x,
  y,
  size = 26,
  leanDeg = 0,
}: At & { readonly size?: number; readonly leanDeg?: number }) {
  const theme = useTheme();
  const half = size / 2;
  return (
    <G transform={rotated(x, y, leanDeg)}>
      <Line x1={x - half} y1={y} x2={x + half} y2={y} stroke={theme.ink} strokeWidth={4} />
      <Line x1={x - half - 6} y1={y - 6} x2={x - half + 6} y2={y - 6} stroke={theme.ink} strokeWidth={2.5} />
      <Line x1={x + half - 6} y1={y - 6} x2={x + half + 6} y2={y - 6} stroke={theme.ink} strokeWidth={2.5} />
      <Polygon
        points={`${x + half + 9},${y} ${x + half - 2},${y - 5} ${x + half - 2},${y + 5}`}
        fill={theme.ink}
      />
    </G>
  );
}

/** Blows from `fromDeg` (0: down the picture from its top). */
export function WindArrow({
  x,
  y,
  fromDeg,
  length = 34,
}: At & { readonly fromDeg: number; readonly length?: number }) {
  const theme = useTheme();
  const [top, bottom] = [y - length / 2, y + length / 2];
  return (
    <G transform={rotated(x, y, fromDeg)}>
      {[-5, 5].map((dx) => (
        <Line
          key={dx}
          x1={x + dx}
          y1={top}
          x2={x + dx}
          y2={bottom - 9}
          stroke={theme.ink}
          strokeWidth={2.5}
        />
      ))}
      <Polygon points={`${x},${bottom} ${x - 11},${bottom - 12} ${x + 11},${bottom - 12}`} fill={theme.ink} />
    </G>
  );
}

export function Ground({
  y,
  x1 = 0,
  x2 = WIDTH,
}: {
  readonly y: number;
  readonly x1?: number;
  readonly x2?: number;
}) {
  const theme = useTheme();
  return (
    <G>
      <Line x1={x1} y1={y} x2={x2} y2={y} stroke={theme.ink} strokeWidth={3} />
      <Rect x={x1} y={y + 1.5} width={x2 - x1} height={6} fill={theme.rule} />
    </G>
  );
}

const NICE = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];

/** A length that is easy to read, about a quarter of the picture. */
export function ScaleBar({
  x,
  y,
  pxPerM,
  say,
}: At & { readonly pxPerM: number; readonly say: (metres: number) => string }) {
  const theme = useTheme();
  const metres = NICE.find((each) => each * pxPerM >= 45) ?? 5000;
  const width = metres * pxPerM;
  return (
    <G>
      <Polyline
        points={`${x},${y - 5} ${x},${y} ${x + width},${y} ${x + width},${y - 5}`}
        fill="none"
        stroke={theme.ink}
        strokeWidth={2}
      />
      <Label x={x + width + 6} y={y + 4}>
        {say(metres)}
      </Label>
    </G>
  );
}

/** Something to be hit, seen from the side. */
export function Wall({
  x,
  y1,
  y2,
  width = 10,
}: {
  readonly x: number;
  readonly y1: number;
  readonly y2: number;
  readonly width?: number;
}) {
  const theme = useTheme();
  return (
    <Rect
      x={x}
      y={y1}
      width={width}
      height={y2 - y1}
      fill={theme.rule}
      stroke={theme.ink}
      strokeWidth={2.5}
    />
  );
}

/** The way that is wanted. */
export function DashedWay({ points }: { readonly points: string }) {
  const theme = useTheme();
  return (
    <Polyline
      points={points}
      fill="none"
      stroke={theme.rule}
      strokeWidth={4}
      strokeDasharray="2 7"
      strokeLinecap="round"
    />
  );
}
