/** What came in so much later than it was flown is marked wherever it counts, ms: a pack without signal is no matter. */
const LATE_MS = 3_600_000;

/** Whether something came in long after it was done; not where nobody says when. */
export const cameInLate = (doneAt: string, recordedAt: string | null | undefined): boolean =>
  recordedAt !== null && recordedAt !== undefined && Date.parse(recordedAt) - Date.parse(doneAt) > LATE_MS;
