import { array, object } from 'yup';
import { INJURIES, RECURRENCE_CLASSES, SEVERITIES } from '../debrief/severity';
import { evidenceShape } from './evidence';
import { causeId, causeIdOrNone, choiceOrNone, line, text, yesNo, yesNoOr } from './fields';
import { fieldSaid } from './field-said';

const linkShape = object({
  words: line('link', 160),
  causeId: causeIdOrNone('cause-of-the-link'),
  breakable: yesNo('breakable'),
}).noUnknown();

/** What one debrief found; every save is a version of it. */
export const findingsShape = object({
  evidence: evidenceShape.default({}),
  ownPick: causeIdOrNone('own-pick'),
  primary: causeIdOrNone('primary-cause'),
  contributing: array(causeId('contributing-cause'))
    .max(8, fieldSaid('findings.too-many-contributing', { most: 8 }))
    .default([]),
  overruleReason: text('reason-for-deciding-otherwise', 300),
  actual: choiceOrNone('actual-severity', SEVERITIES),
  potential: choiceOrNone('potential-severity', SEVERITIES),
  likelihood: choiceOrNone('likelihood', RECURRENCE_CLASSES),
  damage: array(line('damage', 80))
    .max(20, fieldSaid('findings.too-much-damage', { most: 20 }))
    .default([]),
  injury: choiceOrNone('injury', INJURIES),
  thirdParty: yesNoOr('third-party', false),
  wentWell: text('what-went-well', 600),
  chain: array(linkShape)
    .max(20, fieldSaid('findings.chain-too-long', { most: 20 }))
    .default([]),
  nameWithheld: yesNoOr('name-withheld', false),
}).noUnknown();
