/** What stands in a calendar. A pilot's says no more than this: others look at it too. */
export const CALENDAR_WORDS = {
  name: 'Training',
  pilots: 'Training',
  session: (names: string) => `Flying: ${names}`,
  check: (name: string, cause: string) => `Check: ${name}, ${cause}`,
};
