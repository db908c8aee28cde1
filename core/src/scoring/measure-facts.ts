import type { MissReason } from '../clearance/facts';
import { MEASURES } from '../drills/measures';
import type { MeasureId } from './measures';
import type { Score } from './score';

export interface MeasureFacts {
  readonly unit: 'm' | 's' | 'm/s' | '°' | '%' | 'count' | 'ratio' | 'yes';
  /** The reason that a trainer would give for a miss by it. */
  readonly reason: MissReason;
}

export const MEASURE_FACTS: Readonly<Record<MeasureId, MeasureFacts>> = {
  off: { unit: 'm', reason: 'off-the-mark' },
  height: { unit: 'm', reason: 'height' },
  heading: { unit: '°', reason: 'nose' },
  overshoot: { unit: 'm', reason: 'too-late' },
  miss: { unit: 'm', reason: 'off-the-mark' },
  mark: { unit: 'm', reason: 'off-the-mark' },
  'wrong-moves': { unit: 'count', reason: 'wrong-first-move' },
  others: { unit: '%', reason: 'wrong-first-move' },
  'small-share': { unit: '%', reason: 'off-the-mark' },
  neutral: { unit: 's', reason: 'off-the-mark' },
  'low-time': { unit: 's', reason: 'too-late' },
  'touch-speed': { unit: 'm/s', reason: 'too-fast' },
  'touch-miss': { unit: 'm', reason: 'off-the-mark' },
  'sink-ratio': { unit: 'ratio', reason: 'too-fast' },
  'wash-zone': { unit: 'ratio', reason: 'too-fast' },
  'wash-index': { unit: 'ratio', reason: 'too-fast' },
  'nose-to-path': { unit: '°', reason: 'nose' },
  'throttle-rise': { unit: '%', reason: 'height' },
  'nose-in-time': { unit: 's', reason: 'nose' },
  lasted: { unit: 's', reason: 'too-late' },
  'height-lost': { unit: 'm', reason: 'height' },
  'hands-off': { unit: 's', reason: 'too-late' },
  'touched-again': { unit: 'count', reason: 'wrong-first-move' },
  response: { unit: 's', reason: 'too-late' },
  moved: { unit: 'm', reason: 'too-late' },
  'top-speed': { unit: 'm/s', reason: 'too-fast' },
  'stopped-in': { unit: 'm', reason: 'too-late' },
  gap: { unit: '%', reason: 'off-the-mark' },
  clearance: { unit: 'm', reason: 'height' },
  'blind-moves': { unit: 'count', reason: 'nose' },
  'roll-used': { unit: '%', reason: 'wrong-first-move' },
  pulses: { unit: 'count', reason: 'wrong-first-move' },
  lean: { unit: '°', reason: 'too-fast' },
  'sideways-first': { unit: 'yes', reason: 'wrong-first-move' },
  'slip-outward': { unit: '%', reason: 'nose' },
  'lead-near': { unit: 'm', reason: 'off-the-mark' },
  'lead-far': { unit: 'm', reason: 'off-the-mark' },
  'breaches-relative': { unit: 'count', reason: 'nose' },
  'relative-used': { unit: 'yes', reason: 'off-the-mark' },
  'called-at': { unit: '%', reason: 'too-late' },
  'speed-at-answer': { unit: 'm/s', reason: 'too-fast' },
  calmer: { unit: '%', reason: 'off-the-mark' },
  'stops-alike': { unit: '%', reason: 'too-late' },
  footprint: { unit: 'm', reason: 'off-the-mark' },
};

const OTHER_REASONS = { crash: 'too-late', 'not-finished': 'off-the-mark' } as const satisfies Record<string, MissReason>;

/** Why a rep was missed, as it is recorded; null when it was met. */
export const missReasonOf = ({ met, wrong }: Pick<Score, 'met' | 'wrong'>): MissReason | null =>
  (met || wrong === null ? null : wrong.of === 'crash' || wrong.of === 'not-finished' ? OTHER_REASONS[wrong.of] : MEASURE_FACTS[wrong.of].reason);

/** The value that a trainer would have written down for the drill, where the score has one in that unit. SI. */
export function recordedMeasure(drillId: string, { values }: Pick<Score, 'values'>): number | null {
  const unit = MEASURES[drillId]?.unit;
  return unit === undefined ? null : values.find((each) => MEASURE_FACTS[each.of].unit === unit)?.value ?? null;
}
