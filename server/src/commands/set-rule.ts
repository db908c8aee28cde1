import { OutOfLimits } from '@skelby/core/vocabulary/said';
import { chooseLimit } from '@skelby/core/clearance/choose-limit';
import { DEFAULT_RULE } from '@skelby/core/clearance/clearing-rule';
import type { setRule as command } from '@skelby/core/commands/set-rule';
import { recordEvent } from '../facts/events';
import { badField } from '../problem/problem';
import type { Handler } from './handler';

/** Adds a rule, in force from now on: rules are never edited, and what is open keeps its own. */
export const setRule: Handler<typeof command> = async (school, { keys: { id }, fields }) => {
  const { tx, schoolId, accountId } = school;
  if (await tx('clearing_rules').where({ id }).first('id')) return { id };
  if (fields.test === 'learning-curve')
    try {
      chooseLimit(fields);
    } catch (error) {
      if (error instanceof OutOfLimits) throw badField('plannedReps', error.said);
      throw error;
    }
  await tx('clearing_rules').insert({
    schoolId,
    id,
    ...fields,
    edition: DEFAULT_RULE.edition,
    inForceFrom: tx.raw('clock_timestamp()'),
    accountId,
  });
  const { reason, ...rule } = fields;
  await recordEvent(school, {
    action: 'rule-set',
    subject: 'school',
    subjectId: schoolId,
    reason,
    data: rule,
  });
  return { id };
};
