import { array, type InferType, object } from 'yup';
import { DEBRIEF_STATES } from '../debrief/findings';
import { INJURIES, LIKELIHOODS, SEVERITIES } from '../debrief/severity';
import { evidenceShape } from './evidence';
import {
  causeId,
  causeIdOrNone,
  choice,
  choiceOrNone,
  instant,
  key,
  line,
  text,
  whole,
  yesNo,
  yesNoOr,
} from './fields';

const linkShape = object({
  words: line('Link', 160),
  causeId: causeIdOrNone('Cause of the link'),
  breakable: yesNo('Breakable'),
}).noUnknown();

/** What one debrief found; every save is a version of it. */
export const findingsShape = object({
  evidence: evidenceShape.default({}),
  ownPick: causeIdOrNone('Own pick'),
  primary: causeIdOrNone('Primary cause'),
  contributing: array(causeId('Contributing cause'))
    .max(8, 'Contributing causes are too many: keep at most 8.')
    .default([]),
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
/**
 * One save. `base` is the version that it was made from, 0 for none; the keys are used where closing needs a
 * new row.
 */
export const debriefShape = object({
  base: whole('Base version', 0, 10_000),
  state: choice('State', DEBRIEF_STATES),
  reason: text('Reason', 300),
  at: instant('Time'),
  weaknessId: key('Weakness'),
  moveId: key('Move'),
  undoId: key('Move to undo with'),
  planId: key('Plan'),
  findings: findingsShape,
}).noUnknown();
export type DebriefFields = InferType<typeof debriefShape>;
