import { Circle, G, Line, Polygon, Polyline, Rect } from 'react-native-svg';
import { plural } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { Label, PictureFrame, WIDTH } from '../../shared/drawing/primitives';
import { useTheme } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import type { Strip, StripSign } from './strip-of';

const HEIGHT = 140;
const LEFT = 10;
const RIGHT = WIDTH - 10;
/** The days' own line, with room above for signs and what was met, and below for what was missed. */
const LINE_Y = 90;
const MET_HIGH = 42;
const MISSED_HIGH = 26;
/** A check and its signature mostly are of one day: they stand one over the other. */
const SIGN_Y: Readonly<Record<StripSign, number>> = {
  signed: 10,
  entry: 30,
  'check-met': 30,
  'check-missed': 30,
};
const BAR = 5;

const SIGN_WORDS: Readonly<Record<StripSign, string>> = {
  entry: 'crash or near-miss',
  'check-met': 'check met',
  'check-missed': 'check missed',
  signed: 'signed',
};

function Sign({ is, x }: { readonly is: StripSign; readonly x: number }) {
  const theme = useTheme();
  const drawn = { stroke: theme.ink, strokeWidth: 2.5, fill: 'none' } as const;
  const y = SIGN_Y[is];
  switch (is) {
    case 'entry':
      return <Polygon points={`${x - 7},${y + 6} ${x + 7},${y + 6} ${x},${y - 7}`} fill={theme.ink} />;
    case 'signed':
      return <Polyline points={`${x - 7},${y} ${x - 2},${y + 6} ${x + 8},${y - 7}`} {...drawn} />;
    case 'check-met':
      return <Circle cx={x} cy={y} r={6} fill={theme.ink} />;
    case 'check-missed':
      return <Circle cx={x} cy={y} r={5.5} {...drawn} />;
  }
}

/** What it shows, for who does not see it. */
function sentenceOf({ from, days, signs }: Strip): string {
  const met = days.reduce((sum, each) => sum + each.met, 0);
  const all = days.reduce((sum, each) => sum + each.met + each.missed, 0);
  const counted = (Object.keys(SIGN_WORDS) as StripSign[])
    .map((is) => [is, signs.filter((sign) => sign.is === is).length] as const)
    .filter(([, count]) => count > 0)
    .map(([is, count]) => `${SIGN_WORDS[is]} ${count} times`.replace(' 1 times', ' once'));
  return [
    `From ${sayDay(from)} to today: ${plural(all, 'rep')} on ${plural(days.length, 'day')}, ${met} met`,
    ...counted,
  ].join('; ');
}

/** A weakness from its first entry to today, day by day. */
export function HistoryStrip({ strip }: { readonly strip: Strip }) {
  const theme = useTheme();
  if (strip.days.length === 0) return null;
  const most = Math.max(...strip.days.map(({ met, missed }) => Math.max(met, missed)));
  const x = (at: number) => LEFT + BAR + at * (RIGHT - LEFT - 2 * BAR);
  const has = (is: StripSign) => strip.signs.some((sign) => sign.is === is);
  const legend = [
    'Up: met',
    'down: missed',
    has('entry') ? '▲ crash or near-miss' : null,
    has('check-met') || has('check-missed') ? '● check met, ○ missed' : null,
    has('signed') ? '✓ signed' : null,
  ];
  return (
    <>
      <PictureFrame height={HEIGHT} says={sentenceOf(strip)}>
        <Line x1={LEFT} x2={RIGHT} y1={LINE_Y} y2={LINE_Y} stroke={theme.ink} strokeWidth={2} />
        {strip.days.map(({ day, at, met, missed }) => (
          <G key={day}>
            {met > 0 ? (
              <Rect
                x={x(at) - BAR / 2}
                width={BAR}
                y={LINE_Y - 1 - (MET_HIGH * met) / most}
                height={(MET_HIGH * met) / most}
                fill={theme.ink}
              />
            ) : null}
            {missed > 0 ? (
              <Rect
                x={x(at) - BAR / 2 + 0.75}
                width={BAR - 1.5}
                y={LINE_Y + 1}
                height={(MISSED_HIGH * missed) / most}
                fill={theme.ground}
                stroke={theme.ink}
                strokeWidth={1.5}
              />
            ) : null}
          </G>
        ))}
        {strip.signs.map(({ is, day, at }) => (
          <Sign key={`${is} ${day}`} is={is} x={x(at)} />
        ))}
        <Label x={LEFT} y={HEIGHT - 6} soft>
          {sayDay(strip.from)}
        </Label>
        <Label x={RIGHT} y={HEIGHT - 6} anchor="end" soft>
          today
        </Label>
      </PictureFrame>
      <Words as="soft">{`${legend.filter(Boolean).join(', ')}.`}</Words>
    </>
  );
}
