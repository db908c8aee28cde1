import type { MissReason } from '../clearance/facts';
import { MEASURE_FACTS, type MeasureId } from './measure-facts';
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
 * What of a scored flight is the value that the drill's label names (drills/measures.ts): the greatest of these,
 * since a brake misses its mark short of it or beyond it. Drills that are not here have a measure for tape and
 * timer only.
 */
const NAMED_BY_LABEL: Readonly<Record<string, readonly MeasureId[]>> = {
  'pop-up-takeoff': ['off'],
  'tail-in-hover': ['off'],
  'fore-aft-line': ['overshoot'],
  'lateral-line': ['off'],
  'pad-landing': ['touch-miss'],
  'into-wind-hover': ['off'],
  'side-on-hover': ['off'],
  'nose-in-hover': ['off'],
  'clock-hover': ['off'],
  'tail-in-ring': ['off'],
  'lean-and-lift': ['height'],
  'circle-both-ways': ['off'],
  'circle-height-steps': ['height'],
  'figure-eight': ['off'],
  'orbit-the-post': ['off'],
  'safe-posture': ['lasted'],
  'tumble-recovery': ['height-lost'],
  'brake-to-mark': ['overshoot', 'miss'],
  'climb-over': ['clearance'],
  'blind-side-brake': ['stopped-in'],
  'under-roof-pass': ['height'],
  'hold-off-hover': ['off'],
  'hold-off-line': ['overshoot'],
  'surprise-hold-loss': ['moved'],
  'leg-circuit': ['mark'],
  'crab-leg': ['off'],
  'airflow-step': ['off'],
  'release-drill': ['hands-off'],
};

/** The value of a rep that its drill's label names, SI; null where the flight does not tell it. */
export function recordedMeasure(drillId: string, { values }: Pick<Score, 'values'>): number | null {
  const named = NAMED_BY_LABEL[drillId] ?? [];
  const found = values.filter(({ of }) => named.includes(of)).map(({ value }) => value);
  return found.length === 0 ? null : Math.max(...found);
}
