import { drillWords } from '@skelby/copy/drills';
import type { Day } from '@skelby/core/vocabulary/day';
import type { Chart, Clearance } from '@skelby/core/clearance/clearance';
import type { RungId } from '@skelby/core/clearance/rungs';
import { type ClearingRule, testsADayOf } from '@skelby/core/clearance/clearing-rule';
import type { DrillTally } from '@skelby/core/clearance/check-tally';
import type { CoverageCell } from '@skelby/core/clearance/coverage';
import { sayDay, todayHere } from './dates';
import { BAND_WORDS, plural, SIDE_WORDS } from './copy';

export const chartName = (chart: Pick<Chart, 'drillId' | 'side'>): string =>
  drillWords(chart.drillId).name + (chart.side ? `, ${SIDE_WORDS[chart.side].toLowerCase()}` : '');

/** Evidence as a trainer reads it: two digits say enough. */
const sayEvidence = (evidence: number): string =>
  evidence === 0 ? '0' : evidence < 0.01 ? 'under 0.01' : String(Number(evidence.toPrecision(2)));

/** How many reps met make up for one missed. */
const worthOfMiss = ({ unacceptableMissPercent: p0, acceptableMissPercent: p1 }: ClearingRule): string =>
  (Math.log(p0 / p1) / Math.log((100 - p1) / (100 - p0))).toFixed(1);

/** What asking less of a side on which it did not happen costs; empty where as much is asked as anywhere. */
const lessAsked = (limit: number, { riskPercent }: ClearingRule): string =>
  limit * riskPercent >= 100
    ? ''
    : ` It did not happen on this side, so less is asked: one that is not ready and that nobody saw fail passes with at most ${Math.round(100 / limit)} %.`;

function evidenceWords({ curve }: Chart, rule: ClearingRule): string {
  const limit = sayEvidence(curve.limit);
  const now = curve.scores.at(-1)!;
  if (curve.reachedAt !== null)
    return now < curve.limit
      ? `Passed at ${limit}; now ${sayEvidence(now)} after misses since.`
      : `Passed: evidence ${limit}. Misses from now on take it down again.`;
  const most = `at most ${testsADayOf(rule)} a day`;
  if (curve.reps === 0)
    return `No test rep yet: at best ${curve.toGo} met, ${most}, take the evidence to ${limit}.`;
  return `Evidence ${sayEvidence(now)} of ${limit} after ${plural(curve.reps, 'test rep')}: at best ${curve.toGo} more met, ${most}. A miss costs about ${worthOfMiss(rule)}.`;
}

const evidenceSentence = (chart: Chart, rule: ClearingRule): string =>
  evidenceWords(chart, rule) + lessAsked(chart.curve.limit, rule);

/** What the chart shows, in a sentence. */
export function curveSentence(chart: Chart, rule: ClearingRule): string {
  const { curve } = chart;
  if (curve.scale === 'evidence') return evidenceSentence(chart, rule);
  if (curve.reachedAt !== null) return `Passed at test rep ${curve.reachedAt}.`;
  if (curve.reps === 0) return `No test rep yet; ${curve.toGo} clean ones in a row would do.`;
  return `After ${plural(curve.reps, 'test rep')}: ${curve.toGo === 1 ? 'one more clean one' : `${curve.toGo} clean ones in a row`} would pass.`;
}

const cellName = (cell: CoverageCell): string => {
  const drill = drillWords(cell.drillId).name;
  if (cell.what === 'craft') return `${drill} on the craft`;
  if (cell.what === 'as-flown') return `${drill} with hold on`;
  return 'side' in cell.what
    ? `${drill} ${SIDE_WORDS[cell.what.side].toLowerCase()} on the craft`
    : `${drill} in ${BAND_WORDS[cell.what.band].toLowerCase()} wind`;
};

const MOST_NAMED = 3;

function listed(names: readonly string[]): string {
  if (names.length <= MOST_NAMED) return names.join('; ');
  return `${names.slice(0, MOST_NAMED).join('; ')}; and ${names.length - MOST_NAMED} more`;
}

function testWords(clearance: Clearance): string {
  const open = clearance.charts.filter((chart) => chart.curve.reachedAt === null);
  if (open.length === 0) return `${plural(clearance.charts.length, 'chart')} passed.`;
  const toGo = open.map((chart) => `${chartName(chart)}: ${chart.curve.toGo} clean`);
  return `Still to go, at best: ${listed(toGo)}.`;
}

function daysWords(clearance: Clearance, rule: ClearingRule): string {
  const short = clearance.days.filter((drill) => drill.days.length < rule.passDays);
  if (short.length === 0) return `Met on ${rule.passDays} separate days.`;
  return `${listed(short.map((drill) => `${drillWords(drill.drillId).name}: ${drill.days.length} of ${rule.passDays} days`))}.`;
}

function keptWords(clearance: Clearance, rule: ClearingRule, now: Day): string {
  const { check } = clearance;
  if (!check) return `A check ${rule.checkGapDays} days after the last practice.`;
  if (check.passed) return 'Check passed.';
  const started = check.drills.some((drill) => drill.met + drill.missed > 0);
  if (!started) {
    const due = now >= check.from ? 'Check due now' : `Check ${sayDay(check.from, now)}, no practice before`;
    const bySide = check.drills.some((drill) => drill.side);
    return `${due}: ${bySide ? 'two met before two missed on every side' : 'four met before two missed'} of each tested drill, on the craft.`;
  }
  return `${listed(check.drills.filter((drill) => !drill.passed).map(tallyWords))}.`;
}

/** How far a check has come at one drill or side. */
export const tallyWords = ({ drillId, side, met, missed, needed }: DrillTally): string =>
  `${chartName({ drillId, side: side ?? null })}: ${met} of ${needed} met, ${missed} missed`;

/** What each rung holds and what it lacks, as a trainer would say it. */
export function rungWords(
  id: RungId,
  clearance: Clearance,
  rule: ClearingRule,
  now: Day = todayHere(),
): string {
  switch (id) {
    case 'test':
      return testWords(clearance);
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
