import type { CauseId } from '../causes/causes';
import type { Evidence } from '../evidence/evidence';
import { type Said, sentence } from '../vocabulary/said';
import type { Place } from '../vocabulary/flying';
import { chainProblem, type Link } from './chain';
import { type Injury, isAtLeast, type Likelihood, type Severity } from './severity';

/** What one debrief found; every save is a version of it. */
export interface Findings {
  readonly evidence: Evidence;
  /** The trainer's own pick, made before the ranking was shown. */
  readonly ownPick: CauseId | null;
  readonly primary: CauseId | null;
  readonly contributing: readonly CauseId[];
  readonly overruleReason: string;
  readonly actual: Severity | null;
  readonly potential: Severity | null;
  /** How likely the potential outcome is if it happens again. */
  readonly likelihood: Likelihood | null;
  readonly damage: readonly string[];
  readonly injury: Injury | null;
  readonly thirdParty: boolean;
  readonly wentWell: string;
  readonly chain: readonly Link[];
  readonly nameWithheld: boolean;
}

export const NO_FINDINGS: Findings = {
  evidence: {},
  ownPick: null,
  primary: null,
  contributing: [],
  overruleReason: '',
  actual: null,
  potential: null,
  likelihood: null,
  damage: [],
  injury: null,
  thirdParty: false,
  wentWell: '',
  chain: [],
  nameWithheld: false,
};

export const DEBRIEF_STATES = ['open', 'closed'] as const;
export type DebriefState = (typeof DEBRIEF_STATES)[number];

export interface Missing {
  readonly field: keyof Findings;
  readonly said: Said;
}

/**
 * What a debrief still wants before it can be closed.
 * @param proposed the cause that the ranking puts first; null when it says that it does not know
 */
export function missingToClose(findings: Findings, proposed: string | null): readonly Missing[] {
  return [...missingOfCause(findings, proposed), ...missingOfSeverity(findings)];
}

function missingOfCause(findings: Findings, proposed: string | null): readonly Missing[] {
  const missing: Missing[] = [];
  const want = (field: keyof Findings, said: Said) => missing.push({ field, said });
  const { primary } = findings;
  if (primary === null) want('primary', sentence('findings.primary-missing'));
  if (primary !== null && proposed !== null && primary !== proposed && findings.overruleReason.length < 3)
    want('overruleReason', sentence('findings.overrule-without-reason'));
  if (primary !== null && findings.contributing.includes(primary))
    want('contributing', sentence('findings.primary-contributes'));
  if (new Set(findings.contributing).size !== findings.contributing.length)
    want('contributing', sentence('findings.contributing-twice'));
  const chain = primary === null ? null : chainProblem(findings.chain, primary);
  if (chain !== null) want('chain', chain);
  return missing;
}

function missingOfSeverity(findings: Findings): readonly Missing[] {
  const missing: Missing[] = [];
  const want = (field: keyof Findings, said: Said) => missing.push({ field, said });
  if (findings.actual === null) want('actual', sentence('findings.actual-missing'));
  if (
    findings.actual !== null &&
    findings.potential !== null &&
    !isAtLeast(findings.potential, findings.actual)
  )
    want('potential', sentence('findings.potential-less'));
  if (findings.injury === null) want('injury', sentence('findings.injury-missing'));
  return missing;
}

/**
 * Whether it teaches the school's weights: a pick made before the ranking was seen, or a decision against the
 * ranking. Going along with
 * the ranking teaches nothing, or it would learn its own opinion.
 * @param proposed the cause that the ranking put first
 */
export const teaches = (
  { primary, ownPick }: Pick<Findings, 'primary' | 'ownPick'>,
  proposed: string,
): boolean => primary !== null && (primary === ownPick || primary !== proposed);

/** What logging captured already, as answers to start from. */
export function capturedEvidence({
  windMps,
  place,
  mode,
}: {
  readonly windMps: number | null;
  readonly place: Place | null;
  readonly mode: string | null;
}): Evidence {
  return {
    ...(windMps === null ? {} : { wind_mps: windMps }),
    ...(place === null ? {} : { place }),
    ...(mode === null ? {} : { flight_mode: mode }),
  };
}
