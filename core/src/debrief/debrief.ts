import { array, type InferType, object } from 'yup';
import { type Evidence, evidenceShape } from '../evidence/read-evidence';
import type { Place } from '../flying/vocabulary';
import { causeId, causeIdOrNone, choiceOrNone, instant, key, line, text, whole, yesNo, yesNoOr } from '../shapes/fields';
import { chainProblem } from './chain';
import { INJURIES, isAtLeast, LIKELIHOODS, SEVERITIES, type Severity } from './severity';

const linkShape = object({ words: line('Link', 160), causeId: causeIdOrNone('Cause of the link'), breakable: yesNo('Breakable') }).noUnknown();

/** What one debrief found; every save is a version of it. */
export const findingsShape = object({
  evidence: evidenceShape.default({}),
  /** The trainer's own pick, made before the ranking was shown. */
  ownPick: causeIdOrNone('Own pick'),
  primary: causeIdOrNone('Primary cause'),
  contributing: array(causeId('Contributing cause')).max(8, 'Contributing causes are too many: keep at most 8.').default([]),
  overruleReason: text('Reason for deciding otherwise', 300),
  actual: choiceOrNone('Actual severity', SEVERITIES),
  potential: choiceOrNone('Potential severity', SEVERITIES),
  likelihood: choiceOrNone('Likelihood', LIKELIHOODS),
  damage: array(line('Damage', 80)).max(20, 'Damage is too long: keep at most 20 parts.').default([]),
  injury: choiceOrNone('Injury', INJURIES),
  thirdParty: yesNoOr('Third party', false),
  wentWell: text('What went well', 600),
  chain: array(linkShape).max(20, 'The chain is too long: keep at most 20 links.').default([]),
  nameWithheld: yesNoOr('Name withheld', false),
}).noUnknown();
export type Findings = Omit<InferType<typeof findingsShape>, 'evidence'> & { readonly evidence: Evidence };

export const NO_FINDINGS: Findings = {
  evidence: {}, ownPick: null, primary: null, contributing: [], overruleReason: '', actual: null, potential: null, likelihood: null, damage: [], injury: null, thirdParty: false, wentWell: '', chain: [], nameWithheld: false,
};

export const DEBRIEF_STATES = ['open', 'closed'] as const;
export type DebriefState = (typeof DEBRIEF_STATES)[number];

/** One save. `base` is the version that it was made from, 0 for none; the keys are used where closing needs a new row. */
export const debriefShape = object({
  base: whole('Base version', 0, 10_000),
  state: choiceOrNone('State', DEBRIEF_STATES).test('state', 'State must be open or closed: pick one of these.', (value) => value !== null),
  reason: text('Reason', 300),
  at: instant('Time'),
  weaknessId: key('Weakness'),
  moveId: key('Move'),
  undoId: key('Move to undo with'),
  planId: key('Plan'),
  findings: findingsShape,
}).noUnknown();

export interface Missing {
  readonly field: keyof Findings;
  readonly message: string;
}

/**
 * What a debrief still wants before it can be closed.
 * @param proposed the cause that the ranking puts first; null when it says that it does not know
 */
export function missingToClose(findings: Findings, proposed: string | null): readonly Missing[] {
  const missing: Missing[] = [];
  const want = (field: keyof Findings, message: string) => missing.push({ field, message });
  const { primary } = findings;
  if (primary === null) want('primary', 'Primary cause is missing: decide on one.');
  if (primary !== null && proposed !== null && primary !== proposed && findings.overruleReason.length < 3) want('overruleReason', 'The ranking puts another cause first: say in a few words why you decide otherwise.');
  if (primary !== null && findings.contributing.includes(primary)) want('contributing', 'The primary cause is among the contributing ones: take it out there.');
  if (new Set(findings.contributing).size !== findings.contributing.length) want('contributing', 'A contributing cause stands there twice: take one out.');
  if (findings.actual === null) want('actual', 'Actual severity is missing: say what it came to.');
  if (findings.actual !== null && findings.potential !== null && !isAtLeast(findings.potential as Severity, findings.actual as Severity)) want('potential', 'Potential severity is less than the actual one: it cannot have come to more than it could.');
  if (findings.injury === null) want('injury', 'Injury is missing: say none, first aid or medical.');
  const chain = primary === null ? null : chainProblem(findings.chain as Parameters<typeof chainProblem>[0], primary);
  if (chain !== null) want('chain', chain);
  return missing;
}

/**
 * Whether it teaches the school's weights: a pick made before the ranking was seen, or a decision against the ranking. Going along with
 * the ranking teaches nothing, or it would learn its own opinion.
 * @param proposed the cause that the ranking put first
 */
export const teaches = ({ primary, ownPick }: Pick<Findings, 'primary' | 'ownPick'>, proposed: string): boolean => primary !== null && (primary === ownPick || primary !== proposed);

/** What logging captured already, as answers to start from. */
export function capturedEvidence({ windMps, place, mode }: { readonly windMps: number | null; readonly place: Place | null; readonly mode: string | null }): Evidence {
  return { ...(windMps === null ? {} : { wind_mps: windMps }), ...(place === null ? {} : { place }), ...(mode === null ? {} : { flight_mode: mode }) };
}
