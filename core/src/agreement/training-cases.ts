import type { CauseId } from '../causes/causes';

/** Made-up cases that every trainer judges alone, each with what its telling was written to say. */
const CASES = [
  { id: 'back-from-the-hut', causeId: 'orientation-nose-in' },
  { id: 'the-second-ridge', causeId: 'orientation-lost' },
  { id: 'straight-down-to-us', causeId: 'wash-settling' },
  { id: 'the-larch', causeId: 'obstacle-blind-side' },
  { id: 'too-late-for-the-mark', causeId: 'obstacle-overrun' },
  { id: 'the-barn-door', causeId: 'gap-clip' },
  { id: 'under-the-cliff', causeId: 'no-gps-drift' },
  { id: 'the-sock-stood-out', causeId: 'wind-displacement' },
  { id: 'the-radio', causeId: 'distraction' },
  { id: 'it-went-up-by-itself', causeId: 'failsafe-setting' },
  { id: 'it-would-not-stop', causeId: 'mode-confusion' },
  { id: 'chasing-it', causeId: 'overcontrol' },
] as const satisfies readonly { readonly id: string; readonly causeId: CauseId }[];

export type TrainingCaseId = (typeof CASES)[number]['id'];

export interface TrainingCase {
  readonly id: TrainingCaseId;
  readonly causeId: CauseId;
}

export const TRAINING_CASES: readonly TrainingCase[] = CASES;

export const isTrainingCase = (id: string): id is TrainingCaseId => CASES.some((each) => each.id === id);
