import { byHand } from './measure';

/** A distance judged against the tape. */
export const judgingError = byHand({ unit: 'm', label: 'Error', missReason: 'off-the-mark' });
