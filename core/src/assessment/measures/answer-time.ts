import { byHand } from './measure';

/** From a call to the answer, by the trainer's timer. */
export const answerTime = byHand({ unit: 's', label: 'Usual answer time', missReason: 'too-late' });
