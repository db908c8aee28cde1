import type { ClearingRule } from '../clearance/clearing-rule';
import type { Occurrence, Pilot, RecordedRep } from '../pages/pages';
import type { KnownOfPilot } from '../plan/propose-plan';

/** What a confirmation looks up beside the weakness itself. */
export interface WeaknessSurroundings {
  /** The rule by which a weakness opened now is cleared. */
  readonly rule: ClearingRule | undefined;
  readonly occurrence: (id: string) => Occurrence | undefined;
  readonly pilot: (id: string) => Pilot | undefined;
  readonly known: (pilotId: string) => KnownOfPilot;
  /** Whose weakness this is, as far as it is known. */
  readonly pilotOfWeakness: (weaknessId: string) => string | undefined;
  /** All reps of a pilot that are known here, for whichever weakness they were flown. */
  readonly repsOfPilot: (pilotId: string) => readonly RecordedRep[];
}
