import type { Day } from '@skelby/core/vocabulary/day';
import type { Chart, Clearance } from '@skelby/core/clearance/clearance';
import type { RungId } from '@skelby/core/clearance/rungs';
import { CHECK_ATTEMPTS, CHECK_MET_NEEDED, type ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { CoverageCell } from '@skelby/core/clearance/coverage';
import { cleanRepsToGo } from '@skelby/core/clearance/learning-curve';
import { drillOf } from '@skelby/core/drills/drills';
import { sayDay, todayHere } from './dates';
import { BAND_WORDS, plural, SIDE_WORDS } from './copy';

export const chartName = (chart: Pick<Chart, 'drillId' | 'side'>): string =>
  drillOf(chart.drillId).name + (chart.side ? `, ${SIDE_WORDS[chart.side].toLowerCase()}` : '');

/** What the chart shows, in a sentence. */
export function curveSentence(chart: Chart, rule: ClearingRule): string {
  const { curve } = chart;
  if (curve.reachedAt !== null) return `Limit reached at test rep ${curve.reachedAt}.`;
  if (curve.reps === 0)
    return `No test rep yet; ${cleanRepsToGo(rule, curve.at)} clean ones in a row would do.`;
  const toGo = cleanRepsToGo(rule, curve.at);
  return `After ${plural(curve.reps, 'test rep')}: ${toGo === 1 ? 'one more clean one' : `${toGo} clean ones in a row`} would reach the limit.`;
}

const cellName = (cell: CoverageCell): string => {
  const drill = drillOf(cell.drillId).name;
  if (cell.what === 'craft') return `${drill} on the craft`;
  return 'side' in cell.what
    ? `${drill} ${SIDE_WORDS[cell.what.side].toLowerCase()} on the craft`
    : `${drill} in ${BAND_WORDS[cell.what.band].toLowerCase()} wind`;
};

const MOST_NAMED = 3;

function listed(names: readonly string[]): string {
  if (names.length <= MOST_NAMED) return names.join('; ');
  return `${names.slice(0, MOST_NAMED).join('; ')}; and ${names.length - MOST_NAMED} more`;
}

function testWords(clearance: Clearance, rule: ClearingRule): string {
  const open = clearance.charts.filter((chart) => chart.curve.reachedAt === null);
  if (open.length === 0) return plural(clearance.charts.length, 'chart is', 'charts are') + ' at the limit.';
  const toGo = open.map((chart) => `${chartName(chart)}: ${cleanRepsToGo(rule, chart.curve.at)} clean`);
  return `Still to go, at best: ${listed(toGo)}.`;
}

function daysWords(clearance: Clearance, rule: ClearingRule): string {
  const short = clearance.days.filter((drill) => drill.days.length < rule.passDays);
  if (short.length === 0) return `Met on ${rule.passDays} separate days.`;
  return `${listed(short.map((drill) => `${drillOf(drill.drillId).name}: ${drill.days.length} of ${rule.passDays} days`))}.`;
}

function keptWords(clearance: Clearance, rule: ClearingRule, now: Day): string {
  const { check } = clearance;
  if (!check) return `A check ${rule.checkGapDays} days after the last practice.`;
  if (check.passed) return 'Check passed.';
  const started = check.drills.some((drill) => drill.met + drill.missed > 0);
  if (!started) {
    const due = now >= check.from ? 'Check due now' : `Check ${sayDay(check.from, now)}, no practice before`;
    return `${due}: ${CHECK_MET_NEEDED} of ${CHECK_ATTEMPTS} at each deciding drill.`;
  }
  return `${check.drills.map((drill) => `${drillOf(drill.drillId).name}: ${drill.met} met, ${drill.missed} missed of ${CHECK_ATTEMPTS}`).join('; ')}.`;
}

/** What each rung holds and what it lacks, as a trainer would say it. */
export function rungWords(
  id: RungId,
  clearance: Clearance,
  rule: ClearingRule,
  now: Day = todayHere(),
): string {
  switch (id) {
    case 'test':
      return testWords(clearance, rule);
    case 'coverage': {
      const missing = clearance.coverage.filter((cell) => !cell.shown).map(cellName);
      return missing.length === 0
        ? 'Every side and wind shown on the craft.'
        : `To show: ${listed(missing)}.`;
    }
    case 'days':
      return daysWords(clearance, rule);
    case 'kept':
      return keptWords(clearance, rule, now);
    case 'signed':
      if (clearance.signedEarly) return 'Signed early, with a reason.';
      return clearance.rungs.find((rung) => rung.id === 'signed')?.met
        ? 'Signed by a trainer.'
        : "A trainer's signature, once the check is passed.";
  }
}
