import type { Day } from '@skelby/core/vocabulary/day';

const WHOLE = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A day as it stands on paper, which is read in another year: "4 March 2026". */
export const dayOnPaper = (day: Day): string => WHOLE.format(new Date(`${day}T00:00:00Z`));

const MOMENT = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short' });

/** A moment as it stands on paper, by this phone's clock: "4 March 2026 at 14:03". */
export const timeOnPaper = (instant: string): string => MOMENT.format(new Date(instant));
