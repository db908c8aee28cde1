import type { Level } from '../vocabulary/training';
import type { Drill } from './drill';

/** An easier level asks for part of the time only. */
const SHARE_OF_EASIER = 1 / 3;

/** Least time from one attempt that was met to the next at a level, s. */
export const leastSeconds = ({ leastS }: Pick<Drill, 'leastS'>, level: Level): number =>
  level < 0 ? leastS * SHARE_OF_EASIER : leastS;

/**
 * Whether nobody can have flown an attempt that was met since the last one: a tap too many, or reps written down
 * afterwards.
 * @param lastAt when the last attempt ended, ISO 8601; null: there was none
 * @param at when this one ended
 * @returns seconds between them; null where that is long enough, or where the clock was put back
 */
export function tooSoon(
  drill: Pick<Drill, 'leastS'>,
  level: Level,
  lastAt: string | null,
  at: string,
): number | null {
  if (lastAt === null) return null;
  const seconds = (Date.parse(at) - Date.parse(lastAt)) / 1000;
  return seconds >= 0 && seconds < leastSeconds(drill, level) ? seconds : null;
}
