import { type AbilityMoment, abilityPath, AIM_HIGH, AIM_LOW } from '@skelby/core/plan/ability';
import type { DrillId } from '@skelby/core/drills/drills';
import type { RecordedRep } from '@skelby/core/pages/pages';
import { percent } from '@skelby/core/vocabulary/percent';
import { Circle, Line, Polygon, Polyline, Rect } from 'react-native-svg';
import { plural } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { Label, PictureFrame, WIDTH } from '../../shared/drawing/primitives';
import { useTheme } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';

const HEIGHT = 150;
const LEFT = 52;
const RIGHT = WIDTH - 6;
const TOP = 8;
const BOTTOM = HEIGHT - 24;
/** Fewer reps say too little to be drawn. */
const LEAST = 5;

const y = (chance: number): number => BOTTOM - (BOTTOM - TOP) * chance;

/** How often a drill should come off, rep by rep, with how sure that is and where practice teaches most. */
export function AbilityPicture({
  drillId,
  reps,
}: {
  readonly drillId: DrillId;
  readonly reps: readonly RecordedRep[];
}) {
  const theme = useTheme();
  const path = abilityPath(drillId, reps, todayHere());
  const now = path.at(-1);
  if (!now || path.length <= LEAST) return null;
  const x = (nth: number) => LEFT + ((RIGHT - LEFT) * nth) / (path.length - 1);
  const line = (of: (moment: AbilityMoment) => number, from = path) =>
    from.map((moment, nth) => `${x(nth).toFixed(1)},${y(of(moment)).toFixed(1)}`);
  const band = [...line(({ high }) => high), ...line(({ low }) => low).reverse()].join(' ');
  const said = `Now it should come off ${percent(now.chance)} of the time, between ${percent(now.low)} and ${percent(now.high)}`;
  return (
    <>
      <Words as="strong">How often it should come off, rep by rep</Words>
      <PictureFrame
        height={HEIGHT}
        says={`${said}; at first ${percent(path[0]!.chance)}. ${plural(path.length - 1, 'rep')}.`}
      >
        <Rect
          x={LEFT}
          width={RIGHT - LEFT}
          y={y(AIM_HIGH)}
          height={y(AIM_LOW) - y(AIM_HIGH)}
          fill={theme.rule}
          opacity={0.35}
        />
        <Polygon points={band} fill={theme.ink} opacity={0.16} />
        <Polyline
          points={line(({ chance }) => chance).join(' ')}
          fill="none"
          stroke={theme.ink}
          strokeWidth={3}
        />
        <Circle cx={x(path.length - 1)} cy={y(now.chance)} r={5} fill={theme.ink} />
        {[0, 0.5, 1].map((share) => (
          <Label key={share} x={LEFT - 6} y={y(share) + 5} anchor="end">
            {percent(share)}
          </Label>
        ))}
        <Line x1={LEFT} x2={LEFT} y1={TOP} y2={BOTTOM} stroke={theme.ink} strokeWidth={2} />
        <Line x1={LEFT} x2={RIGHT} y1={BOTTOM} y2={BOTTOM} stroke={theme.ink} strokeWidth={2} />
        <Label x={RIGHT} y={HEIGHT - 6} anchor="end" soft>
          today
        </Label>
      </PictureFrame>
      <Words as="soft">{`${said}. The stripe across: where practice teaches most.`}</Words>
    </>
  );
}
