const MS = 1000;

/** When a flight began, s since 1970, and how long it lasted, s; null: nobody knows. */
export interface FlightClock {
  readonly startedAt: number | null;
  readonly lastsS: number;
}

/**
 * Where in the flight a video begins by both clocks, s: a camera writes its file as it stops. A copy is younger, and two
 * clocks differ, so that it is an offer.
 * @returns null where nobody knows, or they do not meet
 */
export function beginsByClock(
  file: Pick<File, 'lastModified'> | null,
  seconds: number,
  { startedAt, lastsS }: FlightClock,
): number | null {
  if (!file || startedAt === null || !Number.isFinite(seconds)) return null;
  const begins = file.lastModified / MS - seconds - startedAt;
  return begins < lastsS && begins + seconds > 0 ? begins : null;
}
