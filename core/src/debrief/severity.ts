/**
 * Severity by likelihood, as in safety management (ICAO Doc 9859), scaled to small craft and a school; the
 * classes are ours.
 */
export const SEVERITIES = ['negligible', 'minor', 'major', 'hazardous', 'catastrophic'] as const;
export type Severity = (typeof SEVERITIES)[number];

export const RECURRENCE_CLASSES = ['rare', 'possible', 'likely'] as const;
export type Likelihood = (typeof RECURRENCE_CLASSES)[number];

export const RISKS = ['low', 'medium', 'high'] as const;
export type Risk = (typeof RISKS)[number];

const MATRIX: Readonly<Record<Likelihood, readonly Risk[]>> = {
  likely: ['low', 'medium', 'medium', 'high', 'high'],
  possible: ['low', 'low', 'medium', 'high', 'high'],
  rare: ['low', 'low', 'low', 'medium', 'high'],
};

/** What it could have come to, and how likely that is if it happens again. */
export const riskOf = (potential: Severity, likelihood: Likelihood): Risk =>
  MATRIX[likelihood][SEVERITIES.indexOf(potential)]!;

/** What could have happened is never less than what did. */
export const isAtLeast = (potential: Severity, actual: Severity): boolean =>
  SEVERITIES.indexOf(potential) >= SEVERITIES.indexOf(actual);

export const INJURIES = ['none', 'first-aid', 'medical'] as const;
export type Injury = (typeof INJURIES)[number];

/** Where nothing was said of it, as `rankOfSeverity` has it. */
export const USUAL_SEVERITY = 3;

/** 1 to 5; null for what is not said. */
export const rankOfSeverity = (said: string | null | undefined): number | null =>
  SEVERITIES.findIndex((each) => each === said) + 1 || null;
