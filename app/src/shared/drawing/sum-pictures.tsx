import type { DriftDrawing } from '@skelby/core/sums/carried-by-air';
import type { StoppingDrawing } from '@skelby/core/sums/could-it-stop';
import type { HomeDrawing } from '@skelby/core/sums/got-home';
import type { FallDrawing } from '@skelby/core/sums/if-it-fell';
import type { LeanDrawing } from '@skelby/core/sums/lean-and-turn';
import type { WashDrawing } from '@skelby/core/sums/own-wash';
import type { SightDrawing } from '@skelby/core/sums/readable';
import type { ReturnDrawing } from '@skelby/core/sums/return-cleared';
import type { GapDrawing } from '@skelby/core/sums/room-in-gap';
import type { TurnDrawing } from '@skelby/core/sums/turn-folded';
import { Circle, Ellipse, G, Line, Polyline, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { SETTING_WORDS } from '../copy/copy';
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

type Say = (metres: number) => string;
type Of<T> = (props: { readonly d: T; readonly say: Say }) => React.JSX.Element;

const points = (all: readonly (readonly [number, number])[]) =>
  all.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
const LEFT = 14;
const RIGHT = WIDTH - 20;

/** Speed over distance, from where the obstacle was seen to standing still, once for each setting. */
export const StoppingPicture: Of<StoppingDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const [top, ground] = [26, 132];
  const longest = Math.max(d.seenAtM * 1.15, ...d.settings.map((each) => each.totalM));
  const fastest = Math.max(0.1, ...d.settings.map((each) => each.speedMps));
  const px = (RIGHT - LEFT) / longest;
  const y = (share: number, speedMps: number) =>
    ground - 12 - (ground - top - 16) * share * (speedMps / fastest);
  const curve = (each: StoppingDrawing['settings'][number]): readonly (readonly [number, number])[] => {
    const until = each.reactionM + each.leaningM;
    const braking = Array.from(
      { length: 21 },
      (_, i) =>
        [LEFT + px * (until + (each.brakingM * i) / 20), y(Math.sqrt(1 - i / 20), each.speedMps)] as const,
    );
    return [[LEFT, y(1, each.speedMps)], ...braking];
  };
  const own = d.settings.find((each) => each.setting === d.flown)!;
  return (
    <PictureFrame
      height={174}
      says={`Stopping took ${say(own.totalM)} in ${d.flown}; the obstacle was first seen at ${say(d.seenAtM)}.`}
    >
      <Ground y={ground} />
      <Wall x={LEFT + px * d.seenAtM} y1={top - 8} y2={ground} />
      {d.settings.map((each) => (
        <G key={each.setting}>
          <Polyline
            points={points(curve(each))}
            fill="none"
            stroke={each.setting === d.flown ? theme.ink : theme.soft}
            strokeWidth={each.setting === d.flown ? 4 : 2}
            strokeDasharray={each.setting === d.flown ? undefined : '5 4'}
          />
          <Circle
            cx={LEFT + px * each.totalM}
            cy={ground - 12}
            r={each.setting === d.flown ? 5 : 3}
            fill={theme.ink}
          />
        </G>
      ))}
      <Line
        x1={LEFT + px * own.reactionM}
        y1={top}
        x2={LEFT + px * own.reactionM}
        y2={ground}
        stroke={theme.rule}
        strokeWidth={2}
        strokeDasharray="2 3"
      />
      <CraftSide x={LEFT + 14} y={y(1, own.speedMps) - 12} />
      {d.settings.map((each, i) => (
        <Label
          key={each.setting}
          x={[LEFT, WIDTH / 2, RIGHT][i]!}
          anchor={(['start', 'middle', 'end'] as const)[i]}
          y={ground + 24}
          bold={each.setting === d.flown}
        >{`${SETTING_WORDS[each.setting]} ${say(each.totalM)}`}</Label>
      ))}
      <ScaleBar x={LEFT} y={ground + 38} pxPerM={px} say={say} />
    </PictureFrame>
  );
};

/** Forward speed to the right, descent downward, both as shares of the hover induced velocity. */
export const WashPicture: Of<WashDrawing> = ({ d }) => {
  const theme = useTheme();
  const [x0, y0, across, down] = [52, 34, 130, 62];
  const [cx, cy] = [
    x0 + Math.min(2, d.forwardShare) * across,
    y0 + Math.min(2.2, Math.max(-0.2, d.descentShare)) * down,
  ];
  return (
    <PictureFrame
      height={206}
      says={`Descent ${d.descentShare.toFixed(2)} and forward ${d.forwardShare.toFixed(2)} times the hover induced velocity.`}
    >
      <Ellipse
        cx={x0}
        cy={y0 + down}
        rx={across}
        ry={down / 2}
        fill={theme.rule}
        stroke={theme.ink}
        strokeWidth={2.5}
      />
      <Rect x={0} y={y0 + down / 2 - 2} width={x0 - 1.5} height={down + 4} fill={theme.ground} />
      <Line x1={x0} y1={14} x2={x0} y2={186} stroke={theme.ink} strokeWidth={2.5} />
      <Line x1={x0} y1={y0} x2={WIDTH - 10} y2={y0} stroke={theme.ink} strokeWidth={2.5} />
      <Line
        x1={x0}
        y1={y0 + down / 4}
        x2={WIDTH - 10}
        y2={y0 + down / 4}
        stroke={theme.ink}
        strokeWidth={1.5}
        strokeDasharray="6 4"
      />
      <Label x={WIDTH - 10} y={y0 + down / 4 + 16} anchor="end" soft>
        quiet to here
      </Label>
      <Label x={x0 + 12} y={y0 + down + 5} bold>
        Own wash
      </Label>
      <Label x={WIDTH - 10} y={y0 - 8} anchor="end">
        Forward ÷ v_h
      </Label>
      {[1, 2].map((n) => (
        <Label key={n} x={x0 + n * across} y={y0 - 8} anchor="middle">
          {n === 1 ? '1' : ''}
        </Label>
      ))}
      {[0.5, 1, 1.5, 2].map((n) => (
        <Label key={n} x={x0 - 8} y={y0 + n * down + 5} anchor="end">
          {String(n)}
        </Label>
      ))}
      <Label x={4} y={200}>
        Sinking ÷ v_h
      </Label>
      <Circle cx={cx} cy={cy} r={9} fill={theme.ground} stroke={theme.ink} strokeWidth={3} />
      <Circle cx={cx} cy={cy} r={4} fill={theme.ink} />
    </PictureFrame>
  );
};

/** The path from above; thick where the wash index is over the limit, the nose drawn as it turned. */
export const TurnPicture: Of<TurnDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const height = 190;
  const [xs, ys] = [d.moments.map((each) => each.alongM), d.moments.map((each) => each.acrossM)];
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const px = Math.min((WIDTH - 90) / Math.max(1, maxX - minX), (height - 90) / Math.max(1, maxY - minY));
  const at = (each: TurnDrawing['moments'][number]) =>
    [45 + (each.alongM - minX) * px, 40 + (each.acrossM - minY) * px] as const;
  const bad = d.moments.filter((each) => each.washIndex > 0.3);
  const shown = d.moments.filter((_, i) => i % Math.max(1, Math.round(d.moments.length / 5)) === 0);
  return (
    <PictureFrame
      height={height}
      says={`The path through the turn from above; highest wash index ${d.worst.washIndex.toFixed(2)}.`}
    >
      {bad.length > 1 ? (
        <Polyline points={points(bad.map(at))} fill="none" stroke={theme.rule} strokeWidth={16} />
      ) : null}
      <Polyline points={points(d.moments.map(at))} fill="none" stroke={theme.ink} strokeWidth={3} />
      {shown.map((each) => {
        const [x, y] = at(each);
        return <CraftPlan key={each.s} x={x} y={y} size={22} noseDeg={90 + each.noseDeg} />;
      })}
      <ScaleBar x={LEFT} y={height - 10} pxPerM={px} say={say} />
      {bad.length > 1 ? (
        <Label x={WIDTH - 8} y={height - 6} anchor="end">
          grey: in its wash
        </Label>
      ) : null}
    </PictureFrame>
  );
};

export const LeanPicture: Of<LeanDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const ground = 142;
  const px = 100 / Math.max(d.heightM, d.lostM, 1);
  const from = ground - d.heightM * px;
  const to = Math.min(ground, from + d.lostM * px);
  return (
    <PictureFrame
      height={176}
      says={`A lean of ${Math.round(d.leanDeg)} degrees loses up to ${say(d.lostM)} of ${say(d.heightM)}.`}
    >
      <Ground y={ground} />
      <CraftSide x={90} y={from} leanDeg={d.leanDeg} size={34} />
      <Line x1={150} y1={from} x2={150} y2={to} stroke={theme.ink} strokeWidth={10} />
      <CraftSide x={220} y={Math.min(ground - 6, to)} leanDeg={d.leanDeg} size={34} />
      <Label x={160} y={(from + to) / 2 + 4}>{`− ${say(d.lostM)}`}</Label>
      <ScaleBar x={LEFT} y={ground + 24} pxPerM={px} say={say} />
    </PictureFrame>
  );
};

export const DriftPicture: Of<DriftDrawing> = ({ d, say }) => {
  const theme = useTheme();
  const [x0, y0, top] = [40, 140, 20];
  const last = d.points.at(-1)!;
  const most = Math.max(last.m, d.withinM, 0.1) * 1.1;
  const at = (each: { s: number; m: number }) =>
    [x0 + ((WIDTH - x0 - 14) * each.s) / Math.max(0.1, last.s), y0 - ((y0 - top) * each.m) / most] as const;
  const limit = at({ s: 0, m: d.withinM })[1];
  return (
    <PictureFrame
      height={166}
      says={`Carried ${say(last.m)} in ${last.s} seconds, with ${say(d.withinM)} of room.`}
    >
      <Line x1={x0} y1={top - 8} x2={x0} y2={y0} stroke={theme.ink} strokeWidth={2.5} />
      <Line x1={x0} y1={y0} x2={WIDTH - 8} y2={y0} stroke={theme.ink} strokeWidth={2.5} />
      <Rect x={x0} y={limit - 8} width={WIDTH - x0 - 8} height={8} fill={theme.rule} />
      <Label x={x0 + 6} y={limit - 12}>{`room ${say(d.withinM)}`}</Label>
      <Polyline points={points(d.points.map(at))} fill="none" stroke={theme.ink} strokeWidth={4} />
      <Circle cx={at(last)[0]} cy={at(last)[1]} r={5} fill={theme.ink} />
      <Label x={x0} y={y0 + 18}>
        hold lost
      </Label>
      <Label x={WIDTH - 8} y={y0 + 18} anchor="end">{`${last.s} s`}</Label>
    </PictureFrame>
  );
};

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
      says={`Turned at ${say(d.distanceM)}; latest turn-back point on a full pack ${say(d.turnBackM)}.`}
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
