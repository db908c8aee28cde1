import type { FlightCheck } from '@skelby/core/go-no-go/flight-to-be';
import { type Names, said } from './say';

/** One thing that was looked at, in words. Lengths and speeds are left open for the school's units. */
export interface CheckInWords extends Pick<FlightCheck, 'id' | 'go'> {
  readonly words: string;
  /** What would make it go; null where it does. */
  readonly remedy: string | null;
}

export const checkWords = ({ id, go, said: of, remedy }: FlightCheck, names: Names = {}): CheckInWords => ({
  id,
  go,
  words: said(of, names),
  remedy: remedy && said(remedy, names),
});
