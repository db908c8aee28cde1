import { axesOf, type Axis, type StickLayout } from '@skelby/core/vocabulary/flying';
import Svg, { Circle, Line, Polygon, Rect } from 'react-native-svg';
import { View } from 'react-native';
import { themed, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

const SIZE = 100;
const MIDDLE = SIZE / 2;

const useStyles = themed(() => ({
  plates: { flexDirection: 'row', gap: 14 },
  plate: { alignItems: 'center', gap: 2 },
  axes: { fontSize: 15, lineHeight: 20 },
}));

interface PlateProps {
  readonly vertical: Axis;
  readonly horizontal: Axis;
  readonly moves: readonly Axis[];
  readonly width: number;
  readonly names: boolean;
}

/** One gimbal seen from above: arrows on the axes that the drill moves. */
function Plate({ vertical, horizontal, moves, width, names }: PlateProps) {
  const theme = useTheme();
  const styles = useStyles();
  const [up, across] = [moves.includes(vertical), moves.includes(horizontal)];
  const named = [up ? vertical : null, across ? horizontal : null].filter(Boolean).join(', ');
  return (
    <View style={styles.plate}>
      <Svg width={width} height={width} viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden>
        <Rect x={3} y={3} width={94} height={94} fill={theme.shade} stroke={theme.ink} strokeWidth={4} />
        <Line
          x1={MIDDLE}
          y1={12}
          x2={MIDDLE}
          y2={88}
          stroke={up ? theme.ink : theme.rule}
          strokeWidth={up ? 6 : 2}
        />
        <Line
          x1={12}
          y1={MIDDLE}
          x2={88}
          y2={MIDDLE}
          stroke={across ? theme.ink : theme.rule}
          strokeWidth={across ? 6 : 2}
        />
        {up ? <Polygon points={`${MIDDLE},6 ${MIDDLE - 9},22 ${MIDDLE + 9},22`} fill={theme.ink} /> : null}
        {up ? <Polygon points={`${MIDDLE},94 ${MIDDLE - 9},78 ${MIDDLE + 9},78`} fill={theme.ink} /> : null}
        {across ? (
          <Polygon points={`6,${MIDDLE} 22,${MIDDLE - 9} 22,${MIDDLE + 9}`} fill={theme.ink} />
        ) : null}
        {across ? (
          <Polygon points={`94,${MIDDLE} 78,${MIDDLE - 9} 78,${MIDDLE + 9}`} fill={theme.ink} />
        ) : null}
        <Circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={13}
          fill={up || across ? theme.ink : theme.ground}
          stroke={theme.ink}
          strokeWidth={4}
        />
      </Svg>
      {names ? (
        <Words as="soft" style={styles.axes}>
          {named || 'still'}
        </Words>
      ) : null}
    </View>
  );
}

export interface StickPlateProps {
  readonly layout: StickLayout;
  readonly moves: readonly Axis[];
  readonly width?: number;
  /** Whether the moved axes are named under each plate. */
  readonly names?: boolean;
}

/** Both sticks as this pilot has them, with the axes a drill works. */
export function StickPlateDrawing({ layout, moves, width = 84, names = true }: StickPlateProps) {
  const styles = useStyles();
  const { left, right } = axesOf(layout);
  return (
    <View
      style={styles.plates}
      role="img"
      aria-label={moves.length > 0 ? `Sticks: ${moves.join(', ')}` : 'Sticks not used'}
    >
      <Plate {...left} moves={moves} width={width} names={names} />
      <Plate {...right} moves={moves} width={width} names={names} />
    </View>
  );
}
