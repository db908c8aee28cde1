import type { Evidence } from '@skelby/core/evidence/evidence';
import { keep, kept } from './storage';

/** What a recorded flight answers of an entry's debrief. It stays on the phone that read the file. */
export interface FromFlight {
  readonly evidence: Evidence;
  /** The file, and the moment in it. */
  readonly file: string;
  readonly clock: string;
}

const nameOf = (occurrenceId: string): string => `from-flight.${occurrenceId}`;

export const keepFromFlight = (occurrenceId: string, from: FromFlight): void =>
  keep(nameOf(occurrenceId), from);

/** @returns null where no flight was read for it here */
export const fromFlight = (occurrenceId: string): FromFlight | null => kept<FromFlight>(nameOf(occurrenceId));
