/** Days since 1970: what is sampled differs from day to day. Printed by who uses it; another day's with TEST_DAY. */
export const DAY = Number(process.env['TEST_DAY'] ?? Math.floor(Date.now() / 86_400_000));

/** Those whose turn it is today, one in so many; all of them with TEST_ALL, as the bench of the whole does. */
export const ofToday = <T>(all: readonly T[], turns: number): readonly T[] =>
  process.env['TEST_ALL'] ? all : all.filter((_, i) => (i + DAY) % turns === 0);
