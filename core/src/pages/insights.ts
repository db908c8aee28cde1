import type { CauseId } from '../causes/causes';
import type { Move } from '../clearance/facts';
import type { DrillId } from '../drills/drills';
import type { Methods } from '../methods/methods';
import type { Day } from '../vocabulary/day';
import type { WindBand } from '../vocabulary/wind-band';

/** How many months may be told of at once. */
export const MONTHS_TOLD = { least: 3, most: 60 } as const;

/** What happened in so much flying. */
export interface HappenedIn {
  readonly flights: number;
  readonly minutes: number;
  readonly crashes: number;
  readonly nearMisses: number;
}

export interface MonthFlown extends HappenedIn {
  /** YYYY-MM. */
  readonly month: string;
}

export interface GroupFlown extends HappenedIn {
  /** Of a site or a craft its key; null: none was told. */
  readonly id: string | null;
  readonly name: string;
}

export interface BandFlown extends HappenedIn {
  /** Null: no wind was told. */
  readonly band: WindBand | null;
}

/** A weakness as it went, with what was flown and happened before and after; nobody's name is in it. */
export interface WeaknessWent {
  readonly causeId: CauseId;
  readonly drillIds: readonly DrillId[];
  readonly moves: readonly Move[];
  /** How the pilot was taught when it was opened; null or absent: nobody kept it. */
  readonly taught?: Partial<Methods> | null;
  /** In half a year before it was opened, without what opened it, and in half a year since it was signed. */
  readonly before: Pick<HappenedIn, 'flights'> & { readonly events: number };
  readonly after: Pick<HappenedIn, 'flights'> & { readonly events: number };
}

/** What a school can be told of itself. */
export interface InsightsPage {
  readonly from: Day;
  readonly to: Day;
  /** Every month from the first to the last, also those in which nobody flew. */
  readonly months: readonly MonthFlown[];
  readonly sites: readonly GroupFlown[];
  readonly craft: readonly GroupFlown[];
  readonly bands: readonly BandFlown[];
  readonly causes: readonly {
    readonly causeId: CauseId;
    readonly crashes: number;
    readonly nearMisses: number;
  }[];
  readonly weaknesses: readonly WeaknessWent[];
}
