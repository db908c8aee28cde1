/**
 * A calendar day where the flying was done, as `YYYY-MM-DD`. Days are the phone's own, so that
 * "two separate days" means what a trainer means by it, whatever the server's time zone.
 */
export type Day = string;

const MS_PER_DAY = 86_400_000;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

const utcMidnight = (day: Day): number => {
  const ms = DAY.test(day) ? Date.parse(`${day}T00:00:00Z`) : Number.NaN;
  if (Number.isNaN(ms)) throw new RangeError(`A day is written YYYY-MM-DD, not "${day}".`);
  return ms;
};

/** Whether a text is a day of the calendar: 30 February is none. */
export const isDay = (text: string): boolean => {
  const ms = DAY.test(text) ? Date.parse(`${text}T00:00:00Z`) : Number.NaN;
  // Years before the first have no place in a record, nor in the database.
  return !Number.isNaN(ms) && text >= '0001' && new Date(ms).toISOString().slice(0, 10) === text;
};

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,6})?Z$/;

/** Whether a text is an instant in UTC, as ISO 8601 writes it, on a day of the calendar. */
export const isInstant = (text: string): boolean =>
  INSTANT.test(text) && isDay(text.slice(0, 10)) && !Number.isNaN(Date.parse(text));

export const addDays = (day: Day, days: number): Day =>
  new Date(utcMidnight(day) + days * MS_PER_DAY).toISOString().slice(0, 10);

/** Whole days from one day to the other; negative when `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number =>
  Math.round((utcMidnight(to) - utcMidnight(from)) / MS_PER_DAY);
