import { percent } from '@skelby/core/vocabulary/percent';
import { chanceClearedWithin } from '@skelby/core/clearance/chart-probability';
import { limitOf } from '@skelby/core/clearance/choose-limit';
import { type ClearingRule, gathersEvidence, testOf } from '@skelby/core/clearance/clearing-rule';
import { ScoreLattice } from '@skelby/core/clearance/score-lattice';

const exactly = (chance: number): string => percent(chance, chance < 0.0995 ? 1 : 0);

/** A modest hanging-together of the reps flown on one pack. */
const TOGETHER = { withinPack: 0.1, repsPerPack: 6 };

/** What evidence promises, and what it does not. */
function evidenceSentences(rule: ClearingRule): readonly string[] {
  const { unacceptableMissPercent: p0, riskPercent } = rule;
  return [
    `A pilot who misses ${p0} % or more, whatever came before, ever passes a chart in at most ${percent(riskPercent / 100)} of openings: however many days, stops and retries there are.`,
    testOf(rule) === 'strict'
      ? `That holds for good and bad days too, as long as reps of one day hang together by no more than a seventh. A day is judged when its tests are flown. It promises nothing for one who misses a little less than ${p0} %.`
      : `That promises nothing for one who misses a little less, or whose good and bad days only average ${p0} %: such a one passes more often. The check a week later is there for them.`,
  ];
}

/** Sentences about what the test can and cannot promise. */
export function sureSentences(rule: ClearingRule, mostReps: number): readonly string[] {
  return gathersEvidence(rule) ? evidenceSentences(rule) : curveSentences(rule, mostReps);
}

/** All figures are exact. */
function curveSentences(rule: ClearingRule, mostReps: number): readonly string[] {
  const limit = limitOf(rule);
  const lattice = new ScoreLattice(rule);
  const p0 = rule.unacceptableMissPercent / 100;
  const together = chanceClearedWithin(
    { lattice, limit: limit.point, missRate: p0, correlation: TOGETHER },
    rule.plannedReps,
  )[rule.plannedReps]!;
  const sentences = [
    `A pilot who still misses ${rule.unacceptableMissPercent} % gets one chart to its limit by luck in ${exactly(limit.falseClear)} of tries of ${rule.plannedReps} test reps.`,
    `One who misses ${rule.acceptableMissPercent} % needs ${limit.goodExpectedReps.toFixed(0)} test reps on average, and is through within ${rule.plannedReps} in ${exactly(limit.goodThrough)} of tries.`,
    `That counts reps as independent. If reps of one pack hang together a little (correlation ${TOGETHER.withinPack}, ${TOGETHER.repsPerPack} a pack), luck does it in ${exactly(together)}: spread them over packs and days.`,
  ];
  if (mostReps > rule.plannedReps) {
    const by = chanceClearedWithin({ lattice, limit: limit.point, missRate: p0 }, mostReps)[mostReps]!;
    sentences.push(`At the ${mostReps} test reps flown so far, luck alone would do it in ${exactly(by)}.`);
  }
  return sentences;
}
