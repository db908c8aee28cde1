import { cueWords } from '@skelby/copy/cues';
import { type Moment } from '@skelby/core/choreography/fly';
import type { Mark, Scene } from '@skelby/core/choreography/scene';
import { Circle, G, Line, Rect } from 'react-native-svg';
import { useUnits } from '../api/use-units';
import {
  CraftPlan,
  DashedWay,
  Label,
  PictureFrame,
  PilotFigure,
  ScaleBar,
  WIDTH,
  WindArrow,
} from './primitives';
import { useTheme } from '../ui/theme';

const PLAN_HEIGHT = 300;
const SPOTTER = { x: -2.5, y: -2 } as const;

export interface PlanFrame {
  readonly toX: (x: number) => number;
  readonly toY: (y: number) => number;
  readonly pxPerM: number;
}

/** Fits the pilot, the marks and the whole path into the plan. */
export function frameOf(moments: readonly Moment[], marks: readonly Mark[]): PlanFrame {
  const xs = [
    ...moments.map((each) => each.x),
    ...marks.flatMap((mark) => [mark.x - (mark.width ?? 0) / 2, mark.x + (mark.width ?? 0) / 2]),
    SPOTTER.x,
    0,
  ];
  const ys = [...moments.map((each) => each.y), ...marks.map((mark) => mark.y), -3];
  const [x1, x2, y1, y2] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const pxPerM = Math.min((WIDTH - 60) / Math.max(6, x2 - x1), (PLAN_HEIGHT - 56) / Math.max(8, y2 - y1));
  const middle = (x1 + x2) / 2;
  return {
    pxPerM,
    toX: (x) => WIDTH / 2 + (x - middle) * pxPerM,
    toY: (y) => PLAN_HEIGHT - 28 - (y - y1) * pxPerM,
  };
}

interface MarkProps {
  readonly mark: Mark;
  readonly frame: PlanFrame;
}

/** Its own shape for each kind of mark. */
function MarkShape({ mark, frame }: MarkProps) {
  const theme = useTheme();
  const [x, y] = [frame.toX(mark.x), frame.toY(mark.y)];
  const half = ((mark.width ?? 0) / 2) * frame.pxPerM;
  switch (mark.is) {
    case 'mark':
      return (
        <>
          <Line x1={x - 7} y1={y - 7} x2={x + 7} y2={y + 7} stroke={theme.ink} strokeWidth={3} />
          <Line x1={x - 7} y1={y + 7} x2={x + 7} y2={y - 7} stroke={theme.ink} strokeWidth={3} />
        </>
      );
    case 'pad':
      return (
        <Rect x={x - 10} y={y - 10} width={20} height={20} fill="none" stroke={theme.ink} strokeWidth={3} />
      );
    case 'post':
      return <Circle cx={x} cy={y} r={6} fill={theme.rule} stroke={theme.ink} strokeWidth={3} />;
    case 'gate':
      return (
        <>
          <Circle cx={x - half} cy={y} r={4} fill={theme.ink} />
          <Circle cx={x + half} cy={y} r={4} fill={theme.ink} />
          <Line
            x1={x - half}
            y1={y}
            x2={x + half}
            y2={y}
            stroke={theme.ink}
            strokeWidth={2}
            strokeDasharray="3 4"
          />
        </>
      );
    case 'wall':
      return (
        <Rect
          x={x - half}
          y={y - 4}
          width={2 * half}
          height={8}
          fill={theme.rule}
          stroke={theme.ink}
          strokeWidth={2.5}
        />
      );
    case 'roof':
      return (
        <Rect
          x={x - half}
          y={y - 2.5 * frame.pxPerM}
          width={2 * half}
          height={5 * frame.pxPerM}
          fill="none"
          stroke={theme.ink}
          strokeWidth={2.5}
          strokeDasharray="8 5"
        />
      );
  }
}

function MarkInPlan({ mark, frame }: MarkProps) {
  return (
    <G>
      <MarkShape mark={mark} frame={frame} />
      {mark.label ? (
        <Label x={frame.toX(mark.x) + 12} y={frame.toY(mark.y) + 18} soft>
          {cueWords(mark.label)}
        </Label>
      ) : null}
    </G>
  );
}

/** Set-up from above: pilot, spotter, people behind, marks, wind, the path wanted, and the craft on it. */
export function Plan({
  id,
  scene,
  moments,
  windFromDeg,
  frame,
}: {
  readonly id: string;
  readonly scene: Scene;
  readonly moments: readonly Moment[];
  readonly windFromDeg: number;
  readonly frame: PlanFrame;
}) {
  const theme = useTheme();
  const { say } = useUnits();
  const path = moments
    .filter((_, i) => i % 4 === 0)
    .map((each) => `${frame.toX(each.x).toFixed(1)},${frame.toY(each.y).toFixed(1)}`)
    .join(' ');
  const line = frame.toY(-0.8);
  return (
    <PictureFrame
      height={PLAN_HEIGHT}
      says="Set-up from above: where the pilot and the spotter stand, people behind them, marks, wind and the path."
    >
      <Rect x={0} y={line} width={WIDTH} height={PLAN_HEIGHT - line} fill={theme.shade} />
      <Line
        x1={0}
        y1={line}
        x2={WIDTH}
        y2={line}
        stroke={theme.rule}
        strokeWidth={2}
        strokeDasharray="10 6"
      />
      <Label x={8} y={PLAN_HEIGHT - 8} soft>
        everybody behind this line
      </Label>
      {scene.marks.map((mark, i) => (
        <MarkInPlan key={i} mark={mark} frame={frame} />
      ))}
      <DashedWay points={path} />
      <PilotFigure x={frame.toX(0)} y={frame.toY(0)} />
      <Circle
        cx={frame.toX(SPOTTER.x)}
        cy={frame.toY(SPOTTER.y)}
        r={6}
        fill="none"
        stroke={theme.ink}
        strokeWidth={3}
      />
      <Label x={frame.toX(SPOTTER.x) - 10} y={frame.toY(SPOTTER.y) + 4} anchor="end" soft>
        spotter
      </Label>
      <WindArrow x={WIDTH - 26} y={34} fromDeg={windFromDeg} />
      <ScaleBar x={10} y={18} pxPerM={frame.pxPerM} say={(metres) => say(metres, 'm')} />
      <G id={`${id}-plan`}>
        <CraftPlan x={0} y={0} size={30} />
      </G>
    </PictureFrame>
  );
}
