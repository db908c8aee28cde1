import { type Day, daysBetween } from '@skelby/core/vocabulary/day';

const SPOKEN_WITHIN_DAYS = 14;

const inYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const otherYear = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const moment = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
const otherMoment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

const two = (value: number) => String(value).padStart(2, '0');

/** The day on this phone's own calendar. */
export const dayHere = (instant: Date): Day =>
  `${instant.getFullYear()}-${two(instant.getMonth() + 1)}-${two(instant.getDate())}`;

/** Of a time of day such as 09:30. */
export const minuteOfDay = (time: string): number => {
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  return hour * 60 + minute;
};

/** The time of day on this phone's own clock, as hours:minutes. */
export const timeOf = (instant: Date): string => `${two(instant.getHours())}:${two(instant.getMinutes())}`;

export const todayHere = (): Day => dayHere(new Date());

/** A day as a trainer says it: "today", "yesterday", "in 3 days", "4 Mar". */
export function sayDay(day: Day, now: Day = todayHere()): string {
  const ahead = daysBetween(now, day);
  if (ahead === 0) return 'today';
  if (ahead === -1) return 'yesterday';
  if (ahead === 1) return 'tomorrow';
  if (ahead > 1 && ahead <= SPOKEN_WITHIN_DAYS) return `in ${ahead} days`;
  if (ahead < 0 && ahead >= -SPOKEN_WITHIN_DAYS) return `${-ahead} days ago`;
  return (day.slice(0, 4) === now.slice(0, 4) ? inYear : otherYear).format(new Date(`${day}T00:00:00Z`));
}

/** "4 Mar, 14:03"; of another year with the year: "4 Mar 2025, 14:03". */
export function sayTime(instant: string): string {
  const at = new Date(instant);
  return (dayHere(at).slice(0, 4) === todayHere().slice(0, 4) ? moment : otherMoment).format(at);
}
