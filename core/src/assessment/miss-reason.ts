import type { MissReason } from '../clearance/facts';
import { MEASURES } from './measures/measures';
import type { Score } from './score';

const OTHER_REASONS = {
  crash: 'too-late',
  'at-pilot': 'wrong-first-move',
  'not-finished': 'off-the-mark',
} as const satisfies Record<string, MissReason>;

/** Why a rep was missed, as it is recorded; null when it was met. */
export const missReasonOf = ({ met, wrong }: Pick<Score, 'met' | 'wrong'>): MissReason | null =>
  met || wrong === null
    ? null
    : wrong.of === 'crash' || wrong.of === 'at-pilot' || wrong.of === 'not-finished'
      ? OTHER_REASONS[wrong.of]
      : MEASURES[wrong.of].missReason;
