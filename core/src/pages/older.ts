import type { Flight, PilotPage, RecordedRep, TodayList } from './pages';

/** What is left out of pages that are kept short, and asked for page after page. */

/** Occurrences to debrief, newest first. */
export interface ToDebriefPage extends Pick<TodayList, 'toDebrief'> {
  readonly hasMore: boolean;
}

/** Reps flown before an instant, the last of them, oldest first. */
export interface EarlierReps {
  readonly reps: readonly RecordedRep[];
  readonly hasMore: boolean;
}

/** Occurrences of a pilot before one of them, newest first. */
export interface OccurrencesPage extends Pick<PilotPage, 'occurrences'> {
  readonly hasMore: boolean;
}

/** Flights before one of them, of everybody or of one pilot, newest first. */
export interface FlightsPage {
  readonly flights: readonly Flight[];
  readonly hasMore: boolean;
}
