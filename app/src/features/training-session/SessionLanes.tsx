import { takeOffs } from '@skelby/core/plan/layout/timeline';
import { G, Line, Rect } from 'react-native-svg';
import { useDrills } from '../../shared/api/use-drills';
import { minuteOfDay } from '../../shared/copy/dates';
import { Label, PictureFrame, WIDTH } from '../../shared/drawing/primitives';
import { useTheme } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import type { ArrangedPack } from './Arrange';
import { addMinutes } from './clock-time';

interface LanesProps {
  readonly packs: readonly ArrangedPack[];
  readonly rests: readonly boolean[];
  readonly packMinutes: number;
  /** As hours:minutes. */
  readonly startsAt: string;
  readonly pilotName: (id: string) => string;
}

const LEFT = 2;
const RIGHT = WIDTH - 2;
const LANE = 44;
const BOX_Y = 18;
const BOX = 20;
const FOOT = 20;
const HOUR_MIN = 60;
/** A tick stands on a round time, at most so many. */
const ROUND_MIN = [5, 10, 15, 30, 60, 120];
const MOST_TICKS = 6;

/** The round times between two, minutes from the first take-off. */
function ticksIn(startsAt: string, minutes: number): readonly number[] {
  const begin = minuteOfDay(startsAt);
  const every = ROUND_MIN.find((each) => minutes / each <= MOST_TICKS) ?? 4 * HOUR_MIN;
  const first = Math.ceil(begin / every) * every - begin;
  const count = Math.max(0, Math.floor((minutes - first) / every) + 1);
  return Array.from({ length: count }, (_, i) => first + i * every);
}

/** Who flies when: a lane for each pilot, a frame for each pack, in it its blocks; tests and checks are filled. */
export function SessionLanes({ packs, rests, packMinutes, startsAt, pilotName }: LanesProps) {
  const theme = useTheme();
  const { drillOf } = useDrills();
  if (packs.length === 0) return null;
  const begins = takeOffs(rests, { packMinutes });
  const minutes = begins.at(-1)! + packMinutes;
  const pilots = [...new Set(packs.map(({ pilotId }) => pilotId))];
  const x = (minute: number) => LEFT + ((RIGHT - LEFT) * minute) / minutes;
  const y = (pilotId: string) => pilots.indexOf(pilotId) * LANE;
  const height = pilots.length * LANE + FOOT;
  const said = packs.map(
    ({ pilotId, blocks }, p) =>
      `${addMinutes(startsAt, begins[p]!)} ${pilotName(pilotId)}: ${blocks.map(({ drillId }) => drillOf(drillId).name).join(', ')}`,
  );
  return (
    <>
      <PictureFrame height={height} says={`Who flies when. ${said.join('. ')}`}>
        {ticksIn(startsAt, minutes).map((minute) => (
          <G key={minute}>
            <Line
              x1={x(minute)}
              x2={x(minute)}
              y1={0}
              y2={height - FOOT + 4}
              stroke={theme.rule}
              strokeWidth={1}
            />
            <Label
              x={Math.min(RIGHT - 18, Math.max(LEFT + 18, x(minute)))}
              y={height - 3}
              anchor="middle"
              soft
            >
              {addMinutes(startsAt, minute)}
            </Label>
          </G>
        ))}
        {pilots.map((id) => (
          <Label key={id} x={LEFT} y={y(id) + 13} bold>
            {pilotName(id)}
          </Label>
        ))}
        {packs.map(({ pilotId, blocks }, p) => {
          let at = begins[p]!;
          const top = y(pilotId) + BOX_Y;
          return (
            <G key={p}>
              <Rect
                x={x(at)}
                y={top}
                width={x(packMinutes) - LEFT}
                height={BOX}
                fill={theme.ground}
                stroke={theme.ink}
                strokeWidth={2}
              />
              {blocks.map(({ id, minutes: long, purpose }) => {
                const from = at;
                at += long;
                return (
                  <Rect
                    key={id}
                    x={x(from) + 2}
                    y={top + 3}
                    width={Math.max(2, x(from + long) - x(from) - 4)}
                    height={BOX - 6}
                    fill={purpose === 'practice' ? theme.rule : theme.ink}
                  />
                );
              })}
            </G>
          );
        })}
      </PictureFrame>
      <Words as="soft">Dark: test or check. Lighter: practice.</Words>
    </>
  );
}
