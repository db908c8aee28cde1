import type Router from '@koa/router';
import { causeOf } from '@skelby/core/causes/causes';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move } from '@skelby/core/clearance/facts';
import { liveMoves } from '@skelby/core/clearance/standing';
import { proposePlan } from '@skelby/core/plan/propose-plan';
import { type ConfirmFields, confirmShape, reasonShape, unconfirmShape } from '@skelby/core/schemas/loop';
import { type OccurrenceFields, occurrenceShape } from '@skelby/core/schemas/records';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { assertNotStale, nextRevision, type Revised } from '../http/based-on';
import { conflict, notFound } from '../http/problems';
import { differences, recordEvent } from './events';
import { assertDayNotFuture, assertNotFuture } from './when';
import { knownOf } from './known-of-pilot';
import { loadFacts, lockPilot, lockWeakness, refreshWeakness } from './weakness-facts';

export interface OccurrenceRow extends OccurrenceFields, Revised {
  readonly id: string;
  readonly confirmedCauseId: string | null;
  readonly weaknessId: string | null;
  readonly withdrawnAt: string | null;
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

/** Logs a crash or near-miss, or corrects the one with this key. */
export async function logOccurrence(school: SchoolTx, id: string, body: unknown): Promise<unknown> {
  const fields = await occurrenceShape.validate(body, { abortEarly: false });
  assertNotFuture('happenedAt', fields.happenedAt);
  assertDayNotFuture(fields.day);
  const { tx, schoolId, accountId } = school;
  await lockPilot(school, fields.pilotId);
  const row = (await tx('occurrences').where({ id }).forUpdate().first()) as OccurrenceRow | undefined;
  if (!row) {
    await tx('occurrences').insert({ schoolId, id, loggedBy: accountId, ...fields });
    await recordEvent(school, {
      action: 'logged',
      subject: 'occurrence',
      subjectId: id,
      pilotId: fields.pilotId,
      data: fields,
    });
    return { id, ...fields };
  }
  const changed = differences(
    { ...row },
    { ...fields, happenedAt: new Date(fields.happenedAt).toISOString() },
  );
  if (changed) {
    await assertNotStale(school, row, fields, body);
    if (row.confirmedCauseId && ('causeId' in changed || 'pilotId' in changed)) {
      throw conflict(
        'The cause of this occurrence is confirmed: take the confirmation back before changing its pilot or cause.',
      );
    }
    await tx('occurrences')
      .where({ id })
      .update({ ...fields, ...nextRevision(school, row) });
    await recordEvent(school, {
      action: 'changed',
      subject: 'occurrence',
      subjectId: id,
      pilotId: fields.pilotId,
      data: changed,
    });
  }
  return { id, ...fields };
}

/** The rule by which a weakness opened now is cleared. */
export async function ruleInForce({ tx }: SchoolTx): Promise<ClearingRule & { readonly id: string }> {
  const rule = (await tx('clearing_rules')
    .where('in_force_from', '<=', tx.fn.now())
    .orderBy('in_force_from', 'desc')
    .first()) as (ClearingRule & { id: string }) | undefined;
  if (!rule) throw new Error('The school has no clearing rule.');
  return rule;
}

/** An occurrence with what its page says of the pilot. */
export async function occurrenceOf({ tx }: SchoolTx, id: string): Promise<unknown> {
  const row = (await tx('occurrences as o')
    .join('pilots as p', (on) => on.on('p.school_id', 'o.school_id').andOn('p.id', 'o.pilot_id'))
    .select('o.*', 'p.name as pilot_name', 'p.mode as pilot_mode', 'p.stick_layout as pilot_stick_layout')
    .where({ 'o.id': id })
    .first()) as unknown;
  if (!row) throw notFound('occurrence');
  return row;
}

/** What a debrief adds to a plan. */
export interface FromDebrief {
  /** Cause of the chain's first link that training can break, where it names one. */
  readonly link: string | null;
  /** How bad it may end next time, 1 to 5. */
  readonly severity: number | null;
}

/** Finds the pilot's weakness for this cause or opens one, and adds the move that the occurrence makes. */
async function openOrAdd(
  school: SchoolTx,
  occurrence: OccurrenceRow,
  fields: ConfirmFields,
  { link, severity }: FromDebrief,
): Promise<string> {
  const { tx, schoolId, accountId } = school;
  const { pilotId } = occurrence;
  const pilot = (await tx('pilots').where({ id: pilotId }).first('mode')) as {
    mode: Parameters<typeof proposePlan>[1];
  };
  const there = (await tx('weaknesses').where({ pilotId, causeId: fields.causeId }).first('id', 'state')) as
    { id: string; state: string } | undefined;
  const weaknessId = there?.id ?? fields.weaknessId;
  if (there && there.id !== fields.weaknessId)
    await tx('weakness_aliases')
      .insert({ schoolId, id: fields.weaknessId, weaknessId })
      .onConflict(['school_id', 'id'])
      .ignore();
  let kind: Move['kind'] = 'occurrence-added';
  if (!there) {
    kind = 'opened';
    await tx('weaknesses').insert({
      schoolId,
      id: weaknessId,
      pilotId,
      causeId: fields.causeId,
      ruleId: (await ruleInForce(school)).id,
      openedAt: fields.at,
      state: 'open',
    });
    await tx('plans').insert({
      schoolId,
      id: fields.planId,
      weaknessId,
      accountId,
      drillIds: proposePlan(fields.causeId, pilot.mode, {
        ...(await knownOf(school, pilotId, null)),
        link,
        severity,
      }).map((planned) => planned.drillId),
    });
  } else if (there.state === 'withdrawn') {
    kind = 'opened';
  } else if (there.state === 'watch' || there.state === 'closed' || there.state === 'ready-for-check') {
    kind = 'reopened';
    await tx('weaknesses')
      .where({ id: weaknessId })
      .update({ ruleId: (await ruleInForce(school)).id });
  }
  await tx('moves').insert({
    schoolId,
    id: fields.moveId,
    weaknessId,
    kind,
    at: fields.at,
    accountId,
    occurrenceId: occurrence.id,
  });
  await recordEvent(school, {
    action: kind,
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId,
    data: { causeId: fields.causeId, occurrenceId: occurrence.id },
  });
  return weaknessId;
}

/**
 * The trainer confirms the cause: the weakness opens, grows or re-opens.
 */
export async function confirmCause(
  school: SchoolTx,
  id: string,
  body: unknown,
  debrief: FromDebrief = { link: null, severity: null },
): Promise<{ weaknessId: string }> {
  const fields = await confirmShape.validate(body, { abortEarly: false });
  assertNotFuture('at', fields.at);
  const occurrence = await lockOccurrence(school, id);
  // Confirmed elsewhere and brought in from a file, it has no weakness yet: it may be confirmed here as
  // anything.
  if (occurrence.confirmedCauseId !== null && occurrence.weaknessId !== null) {
    if (occurrence.confirmedCauseId === fields.causeId) return { weaknessId: occurrence.weaknessId };
    throw conflict(
      `The cause is already confirmed as "${causeOf(occurrence.confirmedCauseId).name}": take that back first.`,
    );
  }
  if (occurrence.withdrawnAt !== null)
    throw conflict('This entry was withdrawn: log it again if it did happen.');
  const weaknessId = await openOrAdd(school, occurrence, fields, debrief);
  await school.tx('occurrences').where({ id }).update({
    confirmedCauseId: fields.causeId,
    confirmedAt: fields.at,
    confirmedBy: school.accountId,
    weaknessId,
  });
  await recordEvent(school, {
    action: 'cause-confirmed',
    subject: 'occurrence',
    subjectId: id,
    pilotId: occurrence.pilotId,
    data: { causeId: fields.causeId, weaknessId },
  });
  await refreshWeakness(school, weaknessId);
  return { weaknessId };
}

/** Takes a confirmation back, with a reason: the move it made is undone, and nothing is erased. */
export async function unconfirmCause(school: SchoolTx, id: string, body: unknown): Promise<{ id: string }> {
  const fields = await unconfirmShape.validate(body, { abortEarly: false });
  const occurrence = await lockOccurrence(school, id);
  const { weaknessId } = occurrence;
  if (!weaknessId) return { id };
  const { tx, schoolId, accountId } = school;
  await lockWeakness(school, weaknessId);
  const { moves } = await loadFacts(school, weaknessId);
  const live = new Set(liveMoves(moves).map((each) => each.id));
  const move = moves.find((each) => each.occurrenceId === id && live.has(each.id));
  if (move)
    await tx('moves').insert({
      schoolId,
      id: fields.moveId,
      weaknessId,
      kind: 'undone',
      undoes: move.id,
      at: fields.at,
      accountId,
      reason: fields.reason,
    });
  await tx('occurrences')
    .where({ id })
    .update({ confirmedCauseId: null, confirmedAt: null, confirmedBy: null, weaknessId: null });
  await recordEvent(school, {
    action: 'confirmation-taken-back',
    subject: 'occurrence',
    subjectId: id,
    pilotId: occurrence.pilotId,
    reason: fields.reason,
    data: { causeId: occurrence.confirmedCauseId, weaknessId },
  });
  await refreshWeakness(school, weaknessId);
  return { id };
}

/** Withdraws an entry that was made by mistake, with a reason. It stays on record and no longer counts. */
export async function withdrawOccurrence(
  school: SchoolTx,
  id: string,
  body: unknown,
): Promise<{ id: string }> {
  const { reason } = await reasonShape.validate(body, { abortEarly: false });
  const occurrence = await lockOccurrence(school, id);
  if (occurrence.withdrawnAt !== null) return { id };
  if (occurrence.confirmedCauseId !== null)
    throw conflict('The cause of this occurrence is confirmed: take the confirmation back first.');
  await school
    .tx('occurrences')
    .where({ id })
    .update({ withdrawnAt: school.tx.fn.now(), withdrawnReason: reason });
  await recordEvent(school, {
    action: 'withdrawn',
    subject: 'occurrence',
    subjectId: id,
    pilotId: occurrence.pilotId,
    reason,
  });
  return { id };
}

export function occurrenceRoutes(router: Router, inSchool: InTheirSchool): void {
  const at = (ctx: Parameters<typeof keyIn>[0]) => keyIn(ctx, 'id', 'occurrence');
  router.get(
    '/occurrences/:id',
    inSchool((school, ctx) => occurrenceOf(school, at(ctx))),
  );
  router.put(
    '/occurrences/:id',
    inSchool((school, ctx) => logOccurrence(school, at(ctx), bodyOf(ctx))),
  );
  router.put(
    '/occurrences/:id/withdrawn',
    inSchool((school, ctx) => withdrawOccurrence(school, at(ctx), bodyOf(ctx))),
  );
  router.put(
    '/occurrences/:id/confirmation',
    inSchool((school, ctx) => confirmCause(school, at(ctx), bodyOf(ctx))),
  );
}
