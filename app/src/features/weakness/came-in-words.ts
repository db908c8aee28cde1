import { cameInLate } from '@skelby/core/clearance/came-in-late';
import type { WeaknessMove } from '@skelby/core/pages/pages';
import { sayTime } from '../../shared/copy/dates';

/** When something came in, where that is long after it is said to have been done; null where it is not. */
export const cameInWords = ({ at, recordedAt }: Pick<WeaknessMove, 'at' | 'recordedAt'>): string | null =>
  recordedAt && cameInLate(at, recordedAt) ? `came in ${sayTime(recordedAt)}` : null;
