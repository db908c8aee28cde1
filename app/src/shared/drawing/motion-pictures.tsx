import type { DriftDrawing } from '@skelby/core/sums/carried-by-air';
import type { StoppingDrawing } from '@skelby/core/sums/could-it-stop';
import type { LeanDrawing } from '@skelby/core/sums/lean-and-turn';
import type { WashDrawing } from '@skelby/core/sums/own-wash';
import type { TurnDrawing } from '@skelby/core/sums/turn-folded';
import { Circle, Ellipse, G, Line, Polyline, Rect } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { SETTING_WORDS } from '../copy/copy';
import { CraftPlan, CraftSide, Ground, Label, PictureFrame, ScaleBar, Wall, WIDTH } from './primitives';

import { LEFT, type Of, points, RIGHT } from './sum-picture';

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
