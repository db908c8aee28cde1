import type { MethodInsight } from '@skelby/core/insights/methods-compared';
import type { EventRate } from '@skelby/core/insights/event-rate';
import type { PoissonCusum } from '@skelby/core/insights/poisson-cusum';
import type { DrillInsight, GroupInsight } from '@skelby/core/insights/report';
import type { Survival } from '@skelby/core/insights/survival';
import type { InsightsPage } from '@skelby/core/pages/insights';
import { BAND_WORDS, plural } from '../../shared/copy/copy';
import { dayOnPaper } from '../../shared/copy/day-on-paper';

const PER = 100;
export const shortFigure = (value: number): string =>
  value >= 10 ? value.toFixed(0) : value >= 1 ? value.toFixed(1) : value.toFixed(2);
export const happenings = (count: number): string =>
  plural(count, 'crash or near-miss', 'crashes and near-misses');

/** A rate with its interval: "6.1 per 100 flights (3.9 to 9.2)". */
export function rateWords({ rate, interval }: EventRate, per = PER, of = 'flights'): string {
  if (rate === null || !interval) return 'nothing flown';
  const span = `${shortFigure(per * interval.low)} to ${shortFigure(per * interval.high)}`;
  return `${shortFigure(per * rate)} per ${per === 1 ? '' : `${per} `}${of} (${span})`;
}

/** A month as it stands under a chart. */
export const monthLabel = (month: string): string =>
  ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'][
    Number(month.slice(5)) - 1
  ]!;

export function worseWords(worse: PoissonCusum | null): string {
  if (!worse) return 'Too little from the months before to learn a usual rate from.';
  const every = Math.round(worse.falseAlarmEvery / 12);
  const honest = `With the usual rate it calls out once in ${plural(every, 'year')}; a doubled one it finds within ${plural(Math.ceil(worse.foundWithin), 'month')} on average.`;
  return worse.alarmAt === null
    ? `Not that the last six months could show. ${honest}`
    : `Yes: the last six months hold more than chance makes of the usual rate. ${honest}`;
}

const IS_WORDS: Readonly<Record<GroupInsight['is'], string>> = {
  more: ' More than chance makes: look at it.',
  fewer: ' Fewer than chance makes.',
  'like-the-others': '',
};

/** What there is to see in groups beside each other. */
export const apartWords = (groups: readonly GroupInsight[]): string =>
  groups.every(({ is }) => is === 'like-the-others')
    ? 'None can be told apart from the others.'
    : 'Those with a word of their own stand apart; the others do not.';

export const groupWords = ({ events, exposure, within95, is }: GroupInsight): string =>
  `${happenings(events)} in ${plural(exposure, 'flight')}; chance alone: ${within95[0]} to ${within95[1]}.${IS_WORDS[is]}`;

export const bandName = (id: string | null): string =>
  id === null ? 'Not told' : `${BAND_WORDS[id as keyof typeof BAND_WORDS]} wind`;

/** How long something lasts, in days. */
export function lastsWords({ all, ended, median, medianLow, medianHigh }: Survival, what: string): string {
  if (all === 0) return `No ${what} yet.`;
  const of = `${ended} of ${all}`;
  if (median === null) return `${of} so far: half of them not yet, so no median.`;
  const span = `${medianLow ?? 0} to ${medianHigh === null ? 'not known yet' : medianHigh}`;
  return `Half within ${plural(median, 'day')} (${span}); ${of}, the others still counted.`;
}

/** What is known of two ways of teaching beside each other. */
export const waysWords = ({ test }: MethodInsight): string =>
  test === null
    ? 'No cause was taught both ways and cleared: nothing to hold beside each other.'
    : test.p < 0.05
      ? `They differ more than chance makes (log-rank by cause, p ${test.p < 0.001 ? 'below 0.001' : test.p.toFixed(3)}). Who was taught how was no lot: other things may be behind it.`
      : `Cannot be told apart (log-rank by cause, p ${test.p.toFixed(2)}).`;

/** What came after a drill, against what was before. */
export function changeWords({ before, after, change }: DrillInsight): string {
  const counts = `${before.events} in ${plural(before.exposure, 'flight')} before, ${after.events} in ${after.exposure} after`;
  if (!change) return `${counts}: nothing to compare.`;
  if (!change.differs) return `${counts}: cannot be told apart.`;
  const { low, high } = change.interval;
  return `${counts}: ${change.ratio === null ? '' : `${shortFigure(change.ratio)} times `}(${shortFigure(low)} to ${Number.isFinite(high) ? shortFigure(high) : 'no limit'}).`;
}

export const periodWords = ({ from, to }: Pick<InsightsPage, 'from' | 'to'>): string =>
  `${dayOnPaper(from)} to ${dayOnPaper(to)}`;
