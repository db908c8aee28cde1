import { newestFirst } from '../vocabulary/flown-order';
import type { Rep } from './facts';

/** When the last of the reps that stand ended, ISO 8601; null: none has been flown. */
export const lastFlownAt = (
  reps: readonly Pick<Rep, 'id' | 'day' | 'flownAt' | 'takenBack'>[],
): string | null => [...reps].filter((rep) => !rep.takenBack).sort(newestFirst)[0]?.flownAt ?? null;
