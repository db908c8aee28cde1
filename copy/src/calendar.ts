import { CALENDAR_WORDS } from './en/calendar';

/** Titles of what stands in a calendar. */
export const calendarWords = () => CALENDAR_WORDS;
