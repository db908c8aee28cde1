import type { Day } from '../vocabulary/day';
import type { Clearance } from './clearance';

/** What lists need to know of a weakness, without working it out again. */
export interface InLists {
  readonly state: Clearance['state'];
  /** How full each rung is, test first. */
  readonly rungs: readonly number[];
  /** First day of the next check; null while none is due. */
  readonly checkFrom: Day | null;
  readonly checkPassed: boolean;
  /** On watch, and limited again until a second check is passed. */
  readonly limited: boolean;
}

export const inLists = ({ state, rungs, watch, check }: Clearance): InLists => ({
  state,
  rungs: rungs.map((rung) => rung.share),
  checkFrom: (watch?.next ?? check)?.from ?? null,
  checkPassed: check?.passed ?? false,
  limited: watch?.limited ?? false,
});
