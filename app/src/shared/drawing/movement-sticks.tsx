import { type Moment } from '@skelby/core/choreography/fly';
import { axesOf, type Axis, type StickLayout } from '@skelby/core/vocabulary/flying';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

import { putOn } from './movement-parts';

const PLATE = 120;
const TRAVEL = 42;

export function MovingPlate({
  id,
  vertical,
  horizontal,
}: {
  readonly id: string;
  readonly vertical: Axis;
  readonly horizontal: Axis;
}) {
  const theme = useTheme();
  const middle = PLATE / 2;
  return (
    <View style={{ alignItems: 'center' }}>
      <Svg width={PLATE} height={PLATE} viewBox={`0 0 ${PLATE} ${PLATE}`} aria-hidden>
        <Rect
          x={2}
          y={2}
          width={PLATE - 4}
          height={PLATE - 4}
          fill={theme.shade}
          stroke={theme.ink}
          strokeWidth={3}
        />
        <Line x1={middle} y1={10} x2={middle} y2={PLATE - 10} stroke={theme.rule} strokeWidth={2} />
        <Line x1={10} y1={middle} x2={PLATE - 10} y2={middle} stroke={theme.rule} strokeWidth={2} />
        <Line
          id={`${id}-stem`}
          x1={middle}
          y1={middle}
          x2={middle}
          y2={middle}
          stroke={theme.ink}
          strokeWidth={5}
        />
        <Circle
          id={`${id}-knob`}
          cx={middle}
          cy={middle}
          r={15}
          fill={theme.ink}
          stroke={theme.ground}
          strokeWidth={3}
        />
      </Svg>
      <Words as="soft">{`${vertical} · ${horizontal}`}</Words>
    </View>
  );
}

export function drawSticks(id: string, layout: StickLayout, { sticks }: Moment): void {
  const middle = PLATE / 2;
  const axes = axesOf(layout);
  for (const hand of ['left', 'right'] as const) {
    const { vertical, horizontal } = axes[hand];
    const [x, y] = [middle + sticks[horizontal] * TRAVEL, middle - sticks[vertical] * TRAVEL];
    putOn(`${id}-${hand}-knob`, { cx: x, cy: y });
    putOn(`${id}-${hand}-stem`, { x2: x, y2: y });
  }
}
