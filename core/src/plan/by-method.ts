import type { CauseId } from '../causes/causes';
import { type DrillId, drillOf } from '../drills/drills';
import { type MethodQuestion, type Methods, USUAL_METHODS } from '../methods/methods';

/** A supporting drill that a way of teaching asks for under some causes. */
interface Asking {
  readonly question: MethodQuestion;
  readonly when: (methods: Methods) => boolean;
  readonly under: readonly CauseId[];
  readonly drillId: DrillId;
}

/** Common practice: what deciders are is no matter of method, what leads to them is. */
const ASKING: readonly Asking[] = [
  {
    question: 'gapSpeed',
    when: ({ gapSpeed }) => gapSpeed === 'slow',
    under: ['gap-clip'],
    drillId: 'slow-slalom',
  },
  {
    question: 'gapSpeed',
    when: ({ gapSpeed }) => gapSpeed === 'faster',
    under: ['gap-clip'],
    drillId: 'figure-eight',
  },
  {
    question: 'sensors',
    when: ({ sensors }) => sensors === 'used',
    under: ['obstacle-overrun', 'obstacle-blind-side', 'obstacle-thin', 'obstacle-overhead'],
    drillId: 'sensor-find-out',
  },
  {
    question: 'holdOff',
    when: ({ holdOff }) => holdOff === 'early',
    under: ['overcontrol', 'coasting', 'wind-displacement', 'no-gps-drift'],
    drillId: 'hold-off-hover',
  },
  {
    question: 'noseIn',
    when: ({ noseIn }) => noseIn === 'early',
    under: ['orientation-side-on', 'orientation-lost', 'pilot-relative-trap'],
    drillId: 'mirror-call',
  },
];

export interface MethodDrill {
  readonly drillId: DrillId;
  readonly question: MethodQuestion;
}

/** Supporting drills that the way a pilot is taught asks for under a cause; the usual way asks for none. */
export const askedByMethod = (causeId: CauseId, methods: Methods = USUAL_METHODS): readonly MethodDrill[] =>
  ASKING.filter(({ when, under }) => under.includes(causeId) && when(methods)).map(
    ({ drillId, question }) => ({ drillId, question }),
  );

const FROM_THE_FRONT: readonly DrillId[] = ['nose-in-hover', 'mirror-call', 'clock-hover'];
/** Drills in which the nose looks at the pilot. */
export const seenFromTheFront = (drillId: DrillId): boolean => FROM_THE_FRONT.includes(drillId);

/**
 * Where a drill belongs among others that may stand beside it: −1 sooner, 0 anywhere, 1 later. What is flown without
 * help comes sooner on the manual track, later on the other; what is flown with hold off sooner still where that is
 * taught early, and the front likewise.
 */
export function orderByMethod(drillId: DrillId, methods: Methods = USUAL_METHODS): number {
  const { assistance } = drillOf(drillId);
  if (methods.noseIn === 'early' && seenFromTheFront(drillId)) return -1;
  if (assistance === 'as-flown') return 0;
  if (methods.holdOff === 'early' && assistance === 'hold-off') return -1;
  return methods.assistance === 'manual-first' ? -1 : 1;
}

/** Whether it is taken as soon as what comes before it stands, rather than by how much comes before it. */
export const takenEarly = (drillId: DrillId, methods: Methods = USUAL_METHODS): boolean =>
  (methods.holdOff === 'early' && drillOf(drillId).assistance === 'hold-off') ||
  (methods.noseIn === 'early' && seenFromTheFront(drillId));
