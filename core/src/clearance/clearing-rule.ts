/**
 * What a school may tune. A rule is kept with the day it came into force and never edited: the
 * stated risk only holds for a rule that was fixed before the first rep it judges.
 */
export interface ClearingRule {
  /** Failure rate at which a pilot is not yet competent (p0), in whole per cent. */
  readonly unacceptableMissPercent: number;
  /** Failure rate of a competent pilot (p1), in whole per cent; below the unacceptable rate. */
  readonly acceptableMissPercent: number;
  /** Accepted chance of clearing a pilot at the unacceptable rate by luck, in whole per cent. */
  readonly riskPercent: number;
  /** Test reps within which that chance is counted. */
  readonly plannedReps: number;
  /** Separate days on which each key drill must be met. */
  readonly passDays: number;
  /** Days without practice before the check. */
  readonly checkGapDays: number;
}

/** House defaults (common practice for the rates, as Biau and Porcher 2010 use them for the method). */
export const DEFAULT_RULE: ClearingRule = {
  unacceptableMissPercent: 40,
  acceptableMissPercent: 10,
  riskPercent: 10,
  plannedReps: 30,
  passDays: 2,
  checkGapDays: 7,
};

/** A check is so many attempts at each key drill … */
export const CHECK_ATTEMPTS = 5;
/** … of which so many must be met. */
export const CHECK_MET_NEEDED = 4;
