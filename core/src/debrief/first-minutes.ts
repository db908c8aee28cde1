/**
 * What is done in the first ten minutes after a crash, in this order. Common practice; local rules and whoever is
 * called come first.
 */
export const FIRST_MINUTES = [
  'people',
  'call',
  'motors',
  'apart',
  'pack',
  'fire',
  'left',
  'pictures',
  'witnesses',
  'pilot',
  'report',
] as const;
export type FirstMinuteId = (typeof FIRST_MINUTES)[number];
