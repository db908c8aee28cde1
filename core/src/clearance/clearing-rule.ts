/**
 * How test reps are judged: by evidence that holds for life; the same with reps of one day weighed as hanging together,
 * and judged at the end of the day; or by a learning curve within planned reps.
 */
export const TESTS = ['evidence', 'strict', 'learning-curve'] as const;
export type TestKind = (typeof TESTS)[number];

/**
 * What a school may tune. A rule is kept with the day it came into force and never edited: the
 * stated risk only holds for a rule that was fixed before the first rep it judges.
 */
export interface ClearingRule {
  /**
   * The second edition asks that what was shown still stands (coverage, check and watch). Absent: the first, by
   * which a weakness that was opened under it is cleared until it is opened anew.
   */
  readonly edition?: number;
  /** Absent in the first edition, which knows the learning curve alone. */
  readonly test?: TestKind;
  /** Failure rate at which a pilot is not yet competent (p0), in whole per cent. */
  readonly unacceptableMissPercent: number;
  /** Failure rate of a competent pilot (p1), in whole per cent; below the unacceptable rate. */
  readonly acceptableMissPercent: number;
  /** Accepted chance of clearing a pilot at the unacceptable rate by luck, in whole per cent. */
  readonly riskPercent: number;
  /** Test reps within which that chance is counted, for the learning curve. */
  readonly plannedReps: number;
  /** Separate days on which each key drill must be met. */
  readonly passDays: number;
  /** Days without practice before the check. */
  readonly checkGapDays: number;
  /** Test reps of one chart that count in a day; the second edition. */
  readonly testsADay?: number;
  /** Whether sides on which it never happened need as much evidence as the others; the second edition. */
  readonly sidesAlike?: boolean;
  /** Days between two checks on watch, at most; the second edition. */
  readonly mostDaysBetweenChecks?: number;
  /** Whether whoever counted its tests may not sign it; absent: they may. */
  readonly secondSigner?: boolean;
}

/** House defaults (common practice for the rates, as Biau and Porcher 2010 use them for the method). */
export const FIRST_RULE: ClearingRule = {
  unacceptableMissPercent: 40,
  acceptableMissPercent: 10,
  riskPercent: 10,
  plannedReps: 30,
  passDays: 2,
  checkGapDays: 7,
};

export const DEFAULT_RULE = {
  ...FIRST_RULE,
  edition: 2,
  test: 'evidence',
  testsADay: 4,
  sidesAlike: false,
  mostDaysBetweenChecks: 90,
  secondSigner: false,
} as const satisfies ClearingRule;

export const testOf = ({ test }: ClearingRule): TestKind => test ?? 'learning-curve';

/** Whether tests gather evidence, in whichever way. */
export const gathersEvidence = (rule: ClearingRule): boolean => testOf(rule) !== 'learning-curve';

export const isFirstEdition = ({ edition }: ClearingRule): boolean => (edition ?? 1) < 2;

export const testsADayOf = ({ testsADay }: ClearingRule): number => testsADay ?? DEFAULT_RULE.testsADay;

/** A check is so many attempts at each key drill … */
export const CHECK_ATTEMPTS = 5;
/** … of which so many must be met. */
export const CHECK_MET_NEEDED = 4;
/** On each side of a drill that has sides. */
export const CHECK_MET_A_SIDE = 2;
/** A check is over at so many missed, at one drill or on one side. */
export const CHECK_MISSED_ENDS = 2;
/** An interrupted check may be gone on with for so many days. */
export const CHECK_OPEN_DAYS = 14;
/** A check that failed on watch is followed by a second within so many days. */
export const SECOND_CHECK_DAYS = 7;
/** Evidence that a side needs on which it never happened. */
export const OTHER_SIDES_NEED = 4;
