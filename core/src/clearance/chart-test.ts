import type { Day } from '../vocabulary/day';
import type { KeptFraction } from './evidence/fraction';

/** A chart as it is drawn and told. */
export interface TestCurve {
  /** `evidence` is drawn on a log scale, `score` (a sum of logarithms) on a plain one. */
  readonly scale: 'evidence' | 'score';
  /** Where it stood after each rep, starting before the first. */
  readonly scores: readonly number[];
  readonly limit: number;
  /** Place in `scores` at which it was passed; null while it is open. */
  readonly reachedAt: number | null;
  /** Test reps counted. */
  readonly reps: number;
  /** How far up it stands, 0 to 1; 1 once passed. */
  readonly share: number;
  /** From nothing to the limit, as a sum of logarithms. */
  readonly way: number;
  /** Fewest test reps, all met, that would pass it. */
  readonly toGo: number;
  /** Evidence after each rep since it was passed or signed, for the watch; empty before, and of a score. */
  readonly since: readonly number[];
}

/** Where a test stands, as it is written down. */
export type KeptTest = KeptEvidence | KeptLearning;
export interface KeptEvidence {
  readonly of: 'evidence';
  readonly evidence: KeptFraction;
  readonly watched: KeptFraction | null;
  readonly needed: KeptFraction;
  readonly days: number;
  readonly day: Day | null;
  readonly flownOn: Day | null;
  readonly slotsUsed: number;
  readonly passed: boolean;
  readonly counted: number;
  readonly ofDay: { readonly met: number; readonly missed: number };
  /** Where it stood last, for the watch. */
  readonly since: readonly number[];
}
export interface KeptLearning {
  readonly of: 'learning';
  readonly met: readonly boolean[];
  readonly since: readonly boolean[];
  readonly passed: boolean;
  readonly isWatched: boolean;
  readonly flownOn: Day | null;
  readonly slotsUsed: number;
  readonly days: readonly Day[];
  readonly counted: number;
}

/** The sequential test of one chart, rep by rep in the order they were flown. */
export interface ChartTest {
  readonly passed: boolean;
  /** After it was passed, or signed without: misses no longer look like luck. */
  readonly slipped: boolean;
  /** Days and reps that have gone into it since the weakness was opened, retries included. */
  readonly spent: { readonly days: number; readonly reps: number };
  /** A test rep; false when the day's are used up and it does not count. */
  add(met: boolean, day: Day): boolean;
  /** Uses up one of the day's without a result; false when none is left. */
  useUp(day: Day): boolean;
  /** An attempt of a check. */
  attempt(met: boolean, day: Day): void;
  /** Signed before it was passed. */
  watch(): void;
  /** The test is open again. */
  reopen(): void;
  /** Open again for a reason that no rep shows. */
  lower(): void;
  /** Asks for so much evidence from now on. */
  raise(needed: number): void;
  /** Begun again for another plan or another stamp. */
  beginAgain(): void;
  curve(): TestCurve;
  /** Where it stands, to be gone on from; its curve is left behind. */
  kept(): KeptTest;
}
