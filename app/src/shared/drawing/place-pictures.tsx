import type { HomeDrawing } from '@skelby/core/sums/got-home';
import type { FallDrawing } from '@skelby/core/sums/if-it-fell';
import type { SightDrawing } from '@skelby/core/sums/readable';
import type { ReturnDrawing } from '@skelby/core/sums/return-cleared';
import type { GapDrawing } from '@skelby/core/sums/room-in-gap';
import { Circle, G, Line, Polyline, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import {
  CraftPlan,
  CraftSide,
  Ground,
  Label,
  PictureFrame,
  PilotFigure,
  PilotSide,
  ScaleBar,
  Wall,
  WIDTH,
  WindArrow,
} from './primitives';

import { LEFT, type Of, points, RIGHT } from './sum-picture';

export const SightPicture: Of<SightDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const y = 74;
  const px = (RIGHT - 30) / (Math.max(d.distanceM, d.attitudeM) * 1.08);
  const x = (metres: number) => 24 + Math.min(metres * px, RIGHT - 24);
  return (
    <PictureFrame
      height={146}
      says={`At ${say(d.distanceM)}; attitude can be read out to ${say(d.attitudeM)}.`}
    >
      <Ground y={y + 22} />
      <PilotSide x={18} y={y + 22} />
      <Rect x={24} y={y - 8} width={x(d.attitudeM / 2) - 24} height={14} fill={theme.ink} />
      <Rect
        x={x(d.attitudeM / 2)}
        y={y - 8}
        width={x(d.attitudeM) - x(d.attitudeM / 2)}
        height={14}
        fill={theme.rule}
        stroke={theme.ink}
        strokeWidth={2}
      />
      <CraftSide x={x(d.distanceM)} y={y - 30} />
      <Line
        x1={x(d.distanceM)}
        y1={y - 22}
        x2={x(d.distanceM)}
        y2={y + 20}
        stroke={theme.ink}
        strokeWidth={2}
        strokeDasharray="3 3"
      />
      <Label x={x(d.attitudeM / 2)} y={y + 46} anchor="middle">
        {say(d.attitudeM / 2)}
      </Label>
      <Label x={Math.min(x(d.attitudeM), WIDTH - 24)} y={y + 46} anchor="middle">
        {say(d.attitudeM)}
      </Label>
      <Label x={LEFT} y={y + 66} soft>
        black: nose clear · grey: hardly
      </Label>
    </PictureFrame>
  );
};

export const HomePicture: Of<HomeDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const y = 70;
  const px = (RIGHT - 40) / (Math.max(d.distanceM, d.turnBackM, 1) * 1.08);
  const x = (metres: number) => 30 + metres * px;
  return (
    <PictureFrame
      height={140}
      says={`Turned at ${say(d.distanceM)}; latest turn-back point on a full battery ${say(d.turnBackM)}.`}
    >
      <G transform={`rotate(90 26 ${y})`}>
        <PilotFigure x={26} y={y} />
      </G>
      <Line
        x1={40}
        y1={y}
        x2={x(Math.max(d.distanceM, d.turnBackM))}
        y2={y}
        stroke={theme.ink}
        strokeWidth={2}
        strokeDasharray="6 5"
      />
      <Line
        x1={x(d.turnBackM)}
        y1={y - 24}
        x2={x(d.turnBackM)}
        y2={y + 24}
        stroke={theme.ink}
        strokeWidth={5}
      />
      <Label
        x={Math.min(WIDTH - 60, Math.max(70, x(d.turnBackM)))}
        y={y + 42}
        anchor="middle"
      >{`turn back ${say(d.turnBackM)}`}</Label>
      <CraftPlan x={x(d.distanceM)} y={y} noseDeg={90} />
      {d.windMps > 0 ? <WindArrow x={WIDTH / 2} y={24} fromDeg={90 + d.windFromOutDeg} /> : null}
      <ScaleBar x={LEFT} y={132} pxPerM={px} say={say} />
    </PictureFrame>
  );
};

export const ReturnPicture: Of<ReturnDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const ground = 140;
  const px = 110 / Math.max(d.setM, d.tallestM, d.wantedM, 1);
  const y = (metres: number) => ground - metres * px;
  return (
    <PictureFrame
      height={166}
      says={`Set to ${say(d.setM)}; the tallest thing is ${say(d.tallestM)}, wanted ${say(d.wantedM)}.`}
    >
      <Ground y={ground} />
      <PilotSide x={20} y={ground} />
      <Wall x={150} y1={y(d.tallestM)} y2={ground} width={30} />
      <Label x={186} y={Math.min(ground - 6, y(d.tallestM) + 14)}>
        {say(d.tallestM)}
      </Label>
      <Polyline
        points={points([
          [300, ground],
          [300, y(d.setM)],
          [40, y(d.setM)],
          [40, ground],
        ])}
        fill="none"
        stroke={theme.ink}
        strokeWidth={3.5}
      />
      <CraftSide x={262} y={y(d.setM)} />
      <Line
        x1={40}
        y1={y(d.wantedM)}
        x2={300}
        y2={y(d.wantedM)}
        stroke={theme.ink}
        strokeWidth={2}
        strokeDasharray="6 5"
      />
      <Label x={48} y={y(d.wantedM) - 5}>{`wanted ${say(d.wantedM)}`}</Label>
      <ScaleBar x={LEFT} y={ground + 22} pxPerM={px} say={say} />
    </PictureFrame>
  );
};

/** Seen along the path: the opening, the craft in its middle, and how far this pilot's line wanders. */
export const GapPicture: Of<GapDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const [cx, cy] = [WIDTH / 2, 66];
  const widest = Math.max(d.ratio * d.spanM, d.spanM + 6 * d.wanderM);
  const px = (WIDTH - 80) / widest;
  const [half, craft, wander] = [(d.ratio * d.spanM * px) / 2, (d.spanM * px) / 2, d.wanderM * px];
  return (
    <PictureFrame
      height={150}
      says={`${say(d.spareM)} on each side, ${d.spareWanders.toFixed(1)} times the pilot's wander.`}
    >
      <Rect
        x={cx - craft - 3 * wander}
        y={cy - 16}
        width={2 * (craft + 3 * wander)}
        height={32}
        fill={theme.shade}
        stroke={theme.ink}
        strokeWidth={1.5}
        strokeDasharray="4 4"
      />
      <Rect x={cx - craft - wander} y={cy - 16} width={2 * (craft + wander)} height={32} fill={theme.rule} />
      <Rect x={cx - half - 14} y={12} width={14} height={108} fill={theme.ink} />
      <Rect x={cx + half} y={12} width={14} height={108} fill={theme.ink} />
      <Line x1={cx - craft} y1={cy} x2={cx + craft} y2={cy} stroke={theme.ink} strokeWidth={6} />
      <Circle cx={cx} cy={cy} r={7} fill={theme.ink} />
      <Label x={LEFT} y={144} soft>
        grey: two passes of three
      </Label>
      <ScaleBar x={WIDTH - 150} y={140} pxPerM={px} say={say} />
    </PictureFrame>
  );
};

export const FallPicture: Of<FallDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const ground = 132;
  const px = Math.min(100 / Math.max(1, d.heightM), (WIDTH - 100) / Math.max(1, d.aheadM));
  const fall = Array.from(
    { length: 21 },
    (_, i) => [44 + (d.aheadM * px * i) / 20, ground - d.heightM * px * (1 - (i / 20) ** 2)] as const,
  );
  return (
    <PictureFrame height={166} says={`From ${say(d.heightM)} it lands up to ${say(d.aheadM)} ahead.`}>
      <Ground y={ground} />
      <Polyline points={points(fall)} fill="none" stroke={theme.ink} strokeWidth={3} strokeDasharray="6 4" />
      <CraftSide x={44} y={ground - d.heightM * px} />
      <Rect x={44} y={ground - 3} width={Math.max(4, d.aheadM * px)} height={9} fill={theme.ink} />
      <Label x={48 + d.aheadM * px} y={ground - 10}>
        {say(d.aheadM)}
      </Label>
      <ScaleBar x={LEFT} y={ground + 26} pxPerM={px} say={say} />
    </PictureFrame>
  );
};
