/** Seconds of a flight as minutes and seconds. */
export const clockOf = (s: number): string =>
  `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`;
