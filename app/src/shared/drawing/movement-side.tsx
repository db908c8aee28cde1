import { type Moment } from '@skelby/core/choreography/fly';
import type { Mark } from '@skelby/core/choreography/scene';
import { G, Line } from 'react-native-svg';
import { CraftSide, DashedWay, Ground, Label, PictureFrame, PilotSide, WIDTH } from './primitives';
import { useTheme } from '../ui/theme';

const SIDE_HEIGHT = 130;

/** Height over distance from the pilot. */
export function Side2D({
  id,
  moments,
  marks,
  scale,
}: {
  readonly id: string;
  readonly moments: readonly Moment[];
  readonly marks: readonly Mark[];
  readonly scale: SideScale;
}) {
  const theme = useTheme();
  const path = moments
    .filter((_, i) => i % 4 === 0)
    .map((each) => `${scale.toX(Math.hypot(each.x, each.y)).toFixed(1)},${scale.toY(each.z).toFixed(1)}`)
    .join(' ');
  return (
    <PictureFrame height={SIDE_HEIGHT} says="From the side: height over distance from the pilot.">
      <Ground y={SIDE_HEIGHT - 18} />
      <PilotSide x={scale.toX(0)} y={SIDE_HEIGHT - 18} />
      {marks
        .filter((mark) => mark.height)
        .map((mark, i) => {
          const x = scale.toX(Math.hypot(mark.x, mark.y));
          return (
            <Line
              key={i}
              x1={x}
              y1={SIDE_HEIGHT - 18}
              x2={x}
              y2={scale.toY(mark.height!)}
              stroke={theme.ink}
              strokeWidth={mark.is === 'gate' ? 2.5 : 5}
              strokeDasharray={mark.is === 'gate' ? '3 4' : undefined}
            />
          );
        })}
      <DashedWay points={path} />
      <G id={`${id}-side`}>
        <CraftSide x={0} y={0} size={22} />
      </G>
      <G id={`${id}-height`}>
        <Label x={0} y={0} bold>
          {' '}
        </Label>
      </G>
    </PictureFrame>
  );
}

interface SideScale {
  readonly toX: (m: number) => number;
  readonly toY: (m: number) => number;
}

export function sideScaleOf(moments: readonly Moment[], marks: readonly Mark[]): SideScale {
  const far = Math.max(
    10,
    ...moments.map((each) => Math.hypot(each.x, each.y)),
    ...marks.map((mark) => Math.hypot(mark.x, mark.y)),
  );
  const high = Math.max(3, ...moments.map((each) => each.z), ...marks.map((mark) => mark.height ?? 0));
  const px = Math.min((WIDTH - 60) / far, (SIDE_HEIGHT - 44) / high);
  return { toX: (m) => 22 + m * px, toY: (m) => SIDE_HEIGHT - 18 - m * px };
}
