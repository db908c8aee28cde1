import type { Mark } from '@skelby/core/choreography/scene';
import Svg, { Circle, G, Line, Polygon, Polyline, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';

interface InsetProps {
  readonly marks: readonly Mark[];
  readonly pilot: { readonly x: number; readonly y: number };
  readonly craft: { readonly x: number; readonly y: number; readonly headingDeg: number } | null;
  /** Places flown, x and y by turns. */
  readonly path: readonly (readonly [number, number])[];
  readonly size: number;
}

const LEAST_M = 16;
const MARGIN = 12;

interface MarkAboveProps {
  readonly mark: Mark;
  /** Where it is drawn, px. */
  readonly at: readonly [number, number];
  readonly scale: number;
}

function MarkAbove({ mark: { is, width = 2, deep = false }, at: [x, y], scale }: MarkAboveProps) {
  const theme = useTheme();
  const half = (width * scale) / 2;
  if (is === 'gate' || is === 'wall' || is === 'roof')
    return (
      <Line
        x1={deep ? x : x - half}
        y1={deep ? y - half : y}
        x2={deep ? x : x + half}
        y2={deep ? y + half : y}
        stroke={theme.ink}
        strokeWidth={3}
      />
    );
  return (
    <Circle
      cx={x}
      cy={y}
      r={is === 'post' ? 3 : 4}
      fill={is === 'post' ? theme.ink : 'none'}
      stroke={theme.ink}
      strokeWidth={2}
    />
  );
}

/** The field from above: the pilot, the marks, the craft with its nose, and where it flew. */
export function Inset({ marks, pilot, craft, path, size }: InsetProps) {
  const theme = useTheme();
  const places: readonly (readonly [number, number])[] = [
    [pilot.x, pilot.y],
    ...marks.map(({ x, y }) => [x, y] as const),
    ...(craft ? [[craft.x, craft.y] as const] : []),
    ...path,
  ];
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [midX, midY] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  const span = Math.max(LEAST_M, Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const scale = (size - 2 * MARGIN) / span;
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    size / 2 + (x - midX) * scale,
    size / 2 - (y - midY) * scale,
  ];
  const [px, py] = at([pilot.x, pilot.y]);
  const [cx, cy] = craft ? at([craft.x, craft.y]) : [0, 0];
  return (
    <Svg
      width={size}
      height={size}
      role="img"
      aria-label="The field from above: you, the marks, the craft and its nose"
    >
      <Rect
        x={1}
        y={1}
        width={size - 2}
        height={size - 2}
        fill={theme.ground}
        stroke={theme.ink}
        strokeWidth={2}
      />
      {marks.map((mark, i) => (
        <MarkAbove key={i} mark={mark} at={at([mark.x, mark.y])} scale={scale} />
      ))}
      {path.length > 1 ? (
        <Polyline
          points={path.map((place) => at(place).join(',')).join(' ')}
          fill="none"
          stroke={theme.soft}
          strokeWidth={2}
        />
      ) : null}
      <Circle cx={px} cy={py} r={5} fill={theme.ink} />
      {craft ? (
        <G transform={`rotate(${craft.headingDeg} ${cx} ${cy})`}>
          <Polygon
            points={`${cx},${cy - 10} ${cx - 6},${cy + 6} ${cx},${cy + 2} ${cx + 6},${cy + 6}`}
            fill={theme.accent}
            stroke={theme.ground}
            strokeWidth={1}
          />
        </G>
      ) : null}
    </Svg>
  );
}
