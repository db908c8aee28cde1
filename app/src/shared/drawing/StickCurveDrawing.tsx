import { shapedStick, type StickShape } from '@skelby/core/simulator/expo';
import { Circle, Line, Polyline } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { Label, PictureFrame, WIDTH } from './primitives';

const HEIGHT = 170;
const [LEFT, RIGHT, TOP, BOTTOM] = [60, WIDTH - 60, 12, HEIGHT - 26];
const PLACES = 60;

const toX = (stick: number) => LEFT + ((stick + 1) / 2) * (RIGHT - LEFT);
const toY = (given: number) => BOTTOM - ((given + 1) / 2) * (BOTTOM - TOP);

interface StickCurveProps {
  readonly shape: StickShape;
  /** Where the stick is, −1 to 1. */
  readonly stick: number;
}

/** What the craft is given for where the stick is. */
export function StickCurveDrawing({ shape, stick }: StickCurveProps) {
  const theme = useTheme();
  const line = Array.from({ length: PLACES + 1 }, (_, i) => {
    const at = (2 * i) / PLACES - 1;
    return `${toX(at).toFixed(1)},${toY(shapedStick(at, shape)).toFixed(1)}`;
  }).join(' ');
  const half = Math.round(100 * (shapedStick(0.5, shape) - shapedStick(0, shape)));
  return (
    <PictureFrame height={HEIGHT} says={`Half the way of the stick gives ${half} % to the craft.`}>
      <Line x1={LEFT} y1={toY(0)} x2={RIGHT} y2={toY(0)} stroke={theme.soft} strokeWidth={1} />
      <Line x1={toX(0)} y1={TOP} x2={toX(0)} y2={BOTTOM} stroke={theme.soft} strokeWidth={1} />
      <Polyline points={line} stroke={theme.ink} strokeWidth={3} fill="none" />
      <Circle cx={toX(stick)} cy={toY(shapedStick(stick, shape))} r={6} fill={theme.accent} />
      <Label x={toX(0)} y={HEIGHT - 6} anchor="middle" soft>
        Stick
      </Label>
      <Label x={LEFT - 8} y={TOP + 10} anchor="end" soft>
        Given
      </Label>
    </PictureFrame>
  );
}
