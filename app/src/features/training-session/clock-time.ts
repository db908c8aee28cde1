import { minuteOfDay } from '../../shared/copy/dates';

const DAY_MIN = 1440;

/** A time of day so many minutes later, as hours:minutes. */
export const addMinutes = (time: string, minutes: number): string => {
  const all = (minuteOfDay(time) + Math.round(minutes)) % DAY_MIN;
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};
