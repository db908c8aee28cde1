import type { CauseId } from '@skelby/core/causes/causes';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { FlownAnswers } from '@skelby/core/schemas/flown';
import type { OccurrenceFields } from '@skelby/core/schemas/records';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import type { Revised } from '../problem/based-on';
import { notFound } from '../problem/problem';
import { lockPilot } from './weakness-facts';

export interface OccurrenceRow extends OccurrenceFields, Revised {
  readonly id: string;
  readonly confirmedCauseId: CauseId | null;
  readonly weaknessId: string | null;
  readonly withdrawnAt: string | null;
  readonly flown: FlownAnswers | null;
}

/**
 * Keeps a second writer out of this occurrence, and out of its pilot's weaknesses, until the transaction
 * ends.
 */
export async function lockOccurrence(school: SchoolTx, id: string): Promise<OccurrenceRow> {
  const { tx } = school;
  const pilotId = (await tx('occurrences').where({ id }).first('pilot_id')) as
    { pilotId: string } | undefined;
  if (!pilotId) throw notFound('occurrence');
  await lockPilot(school, pilotId.pilotId);
  return (await tx('occurrences').where({ id }).forUpdate().first()) as OccurrenceRow;
}

/** The rule by which a weakness opened now is cleared. */
export async function ruleInForce({ tx }: SchoolTx): Promise<ClearingRule & { readonly id: string }> {
  const [rule] = await rowsOf<ClearingRule & { readonly id: string }>(
    tx,
    tx('clearing_rules').where('in_force_from', '<=', tx.fn.now()).orderBy('in_force_from', 'desc').limit(1),
  );
  if (!rule) throw new Error('The school has no clearing rule.');
  return rule;
}
