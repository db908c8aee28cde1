import { causeOf, type CauseId } from '../causes/causes';
import type { Assistance } from '../drills/drill';
import { drillOf, isFlown } from '../drills/drills';
import type { FlightMode } from '../vocabulary/flying';
import type { Rep } from './facts';

const HOLD_OFF: readonly FlightMode[] = ['height-hold', 'self-level', 'rate'];
const MANUAL: readonly FlightMode[] = ['self-level', 'rate'];

/** Flight modes in which a drill's standard may be shown by a pilot who flies in `flies`. */
export function modesFor(assistance: Assistance, flies: FlightMode): readonly FlightMode[] {
  switch (assistance) {
    case 'as-flown':
      return [flies];
    case 'hold-off':
      return HOLD_OFF;
    case 'manual':
      return MANUAL;
  }
}

export type WhyNotCounted = 'other-assistance' | 'pilot-relative' | 'no-side' | 'too-wide';

/**
 * Why a rep does not move the chart although it was announced as a test or check; null when it
 * does. Reps flown in pilot-relative mode never count for an orientation weakness: the mode hides
 * what is being tested.
 */
export function whyNotCounted(
  rep: Pick<Rep, 'drillId' | 'mode' | 'pilotRelative' | 'side' | 'widthSpans'>,
  causeId: CauseId,
  flies: FlightMode,
): WhyNotCounted | null {
  const drill = drillOf(rep.drillId);
  // What is said or done on the ground is the same in every mode.
  if (!isFlown(drill)) return null;
  if (!modesFor(drill.assistance, flies).includes(rep.mode)) return 'other-assistance';
  if (rep.pilotRelative && causeOf(causeId).family === 'orientation') return 'pilot-relative';
  if (drill.sides.length > 0 && rep.side === null) return 'no-side';
  const narrowest = drill.widthsSpans?.at(-1);
  if (narrowest !== undefined && (rep.widthSpans ?? narrowest) > narrowest) return 'too-wide';
  return null;
}
