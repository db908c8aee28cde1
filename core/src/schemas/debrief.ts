import { array, object } from 'yup';
import { INJURIES, RECURRENCE_CLASSES, SEVERITIES } from '../debrief/severity';
import { evidenceShape } from './evidence';
import { causeId, causeIdOrNone, choiceOrNone, line, text, yesNo, yesNoOr } from './fields';

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
  likelihood: choiceOrNone('Likelihood', RECURRENCE_CLASSES),
  damage: array(line('Damage', 80)).max(20, 'Damage is too long: keep at most 20 parts.').default([]),
  injury: choiceOrNone('Injury', INJURIES),
  thirdParty: yesNoOr('Third party', false),
  wentWell: text('What went well', 600),
  chain: array(linkShape).max(20, 'The chain is too long: keep at most 20 links.').default([]),
  nameWithheld: yesNoOr('Name withheld', false),
}).noUnknown();
