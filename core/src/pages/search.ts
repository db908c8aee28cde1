import type { CauseId } from '../causes/causes';
import type { Day } from '../vocabulary/day';

/** What a name is found of: where it leads to is known by its kind. */
interface FoundName {
  readonly id: string;
  readonly name: string;
}

export interface FoundEntry {
  readonly id: string;
  readonly kind: 'crash' | 'near-miss';
  /** The one that was confirmed, or the one that it was logged with. */
  readonly causeId: CauseId;
  readonly day: Day;
  /** Null where the name is withheld. */
  readonly pilotName: string | null;
  /** Of its note, or of what its debrief says, where the words are; empty: neither says them. */
  readonly text: string;
}

/** Newest first; names by their order. Of each kind so many, and whether there are more entries. */
export interface SearchPage {
  readonly pilots: readonly FoundName[];
  readonly entries: readonly FoundEntry[];
  readonly sites: readonly FoundName[];
  readonly craft: readonly FoundName[];
  readonly hasMore: boolean;
}
