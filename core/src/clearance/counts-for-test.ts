import { causeOf, type CauseId } from '../causes/causes';
import type { Drill } from '../drills/drill';
import { drillOf, isFlown } from '../drills/drills';
import { type FlightMode, onReleaseIn } from '../vocabulary/flying';
import type { Flies, Rep } from './facts';

const HOLD_OFF: readonly FlightMode[] = ['height-hold', 'self-level', 'rate'];
const MANUAL: readonly FlightMode[] = ['self-level', 'rate'];

/** What of a pilot's flying decides how a drill is shown. */
export type FliesIn = Pick<Flies, 'mode' | 'holdOff'>;

/** Whether a pilot shows a drill in two forms: with hold off, which decides, and as usually flown. */
export const hasTwoForms = ({ handsForm }: Pick<Drill, 'handsForm'>, { mode, holdOff }: FliesIn): boolean =>
  handsForm === true && holdOff === true && onReleaseIn(mode) === 'hold';

/** Flight modes in which a drill decides for such a pilot, the usual one first. */
export function modesFor(
  drill: Pick<Drill, 'assistance' | 'handsForm'>,
  flies: FliesIn,
): readonly FlightMode[] {
  switch (drill.assistance) {
    case 'as-flown':
      return hasTwoForms(drill, flies) ? HOLD_OFF : [flies.mode];
    case 'hold-off':
      return HOLD_OFF;
    case 'manual':
      return MANUAL;
  }
}

export type WhyNotCounted = 'with-hold' | 'other-assistance' | 'pilot-relative' | 'no-side' | 'too-wide';

/**
 * Why a rep does not move the chart although it was announced as a test or check; null when it
 * does. Reps flown in pilot-relative mode never count for an orientation weakness: the mode hides
 * what is being tested.
 */
export function whyNotCounted(
  rep: Pick<Rep, 'drillId' | 'mode' | 'pilotRelative' | 'side' | 'widthSpans'>,
  causeId: CauseId,
  flies: FliesIn,
): WhyNotCounted | null {
  const drill = drillOf(rep.drillId);
  // What is said or done on the ground is the same in every mode.
  if (!isFlown(drill)) return null;
  if (!modesFor(drill, flies).includes(rep.mode))
    return hasTwoForms(drill, flies) && rep.mode === flies.mode ? 'with-hold' : 'other-assistance';
  if (rep.pilotRelative && causeOf(causeId).family === 'orientation') return 'pilot-relative';
  if (drill.sides.length > 0 && rep.side === null) return 'no-side';
  const narrowest = drill.widthsSpans?.at(-1);
  if (narrowest !== undefined && (rep.widthSpans ?? narrowest) > narrowest) return 'too-wide';
  return null;
}
