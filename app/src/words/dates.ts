import type { Day } from '@skelby/core';
import { differenceInCalendarDays, format, parseISO } from 'date-fns';

/** Today on this phone's own calendar. */
export const today = (): Day => format(new Date(), 'yyyy-MM-dd');

/** A day as a trainer says it: "today", "yesterday", "in 3 days", "4 Mar". */
export function sayDay(day: Day, now: Day = today()): string {
  const ahead = differenceInCalendarDays(parseISO(day), parseISO(now));
  if (ahead === 0) return 'today';
  if (ahead === -1) return 'yesterday';
  if (ahead === 1) return 'tomorrow';
  if (ahead > 1 && ahead <= 14) return `in ${ahead} days`;
  if (ahead < 0 && ahead >= -14) return `${-ahead} days ago`;
  return format(parseISO(day), day.slice(0, 4) === now.slice(0, 4) ? 'd MMM' : 'd MMM yyyy');
}

export const sayTime = (instant: string): string => format(parseISO(instant), 'd MMM, HH:mm');
