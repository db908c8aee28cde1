import type { MissReason } from '../clearance/facts';
import { MEASURES } from '../drills/measures';
import { MEASURE_FACTS } from './measure-facts';
import type { Score } from './score';

const OTHER_REASONS = { crash: 'too-late', 'not-finished': 'off-the-mark' } as const satisfies Record<
  string,
  MissReason
>;

/** Why a rep was missed, as it is recorded; null when it was met. */
export const missReasonOf = ({ met, wrong }: Pick<Score, 'met' | 'wrong'>): MissReason | null =>
  met || wrong === null
    ? null
    : wrong.of === 'crash' || wrong.of === 'not-finished'
      ? OTHER_REASONS[wrong.of]
      : MEASURE_FACTS[wrong.of].reason;

/**
 * The value that a trainer would have written down for the drill, where the score has one in that unit. SI.
 */
export function recordedMeasure(drillId: string, { values }: Pick<Score, 'values'>): number | null {
  const unit = MEASURES[drillId]?.unit;
  return unit === undefined
    ? null
    : (values.find((each) => MEASURE_FACTS[each.of].unit === unit)?.value ?? null);
}
