import { causeWords } from '@skelby/copy/causes';
import { causeOf } from '@skelby/core/causes/causes';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import type { Flies } from '@skelby/core/clearance/facts';
import { liveMoves } from '@skelby/core/clearance/standing';
import type { ConfirmFields } from '@skelby/core/commands/confirm-cause';
import type { UnconfirmFields } from '@skelby/core/commands/take-confirmation-back';
import { methodsFor, type OwnMethods } from '@skelby/core/methods/methods';
import { decidingAmong } from '@skelby/core/plan/key-drills';
import { proposePlan } from '@skelby/core/plan/propose-plan';
import type { Track } from '@skelby/core/vocabulary/training';
import { type FromDebrief, fromDebrief } from '@skelby/core/weakness/apply';
import { moveOfConfirmation, opensAnew } from '@skelby/core/weakness/move-of-confirmation';
import type { SchoolTx } from '../db/in-school';
import { conflict } from '../problem/problem';
import { recordEvent } from './events';
import { knownOf } from './known-of-pilot';
import { methodsOfSchool } from './methods';
import { lockOccurrence, ruleInForce, type OccurrenceRow } from './occurrence-rows';
import { refreshWeakness } from './refresh-weakness';
import { loadFacts, lockWeakness } from './weakness-facts';

type TaughtRow = { readonly track: Track; readonly methods: OwnMethods };

interface Known {
  readonly id: string;
  readonly state: WeaknessState;
  readonly signedEarly: boolean;
}

/** Another phone may have opened it under another key: that one is kept as a second name. */
async function aliasFor({ tx, schoolId }: SchoolTx, alias: string, weaknessId: string): Promise<void> {
  if (alias === weaknessId) return;
  await tx('weakness_aliases')
    .insert({ schoolId, id: alias, weaknessId })
    .onConflict(['school_id', 'id'])
    .ignore();
}

/** Opens a weakness under the rule in force, with the plan that is proposed for it. */
async function open(
  school: SchoolTx,
  pilotId: string,
  { weaknessId, causeId, planId, at }: ConfirmFields,
  { mode, told, link, severity }: Pick<Flies, 'mode'> & Pick<FromDebrief, 'told' | 'link' | 'severity'>,
): Promise<void> {
  const { tx, schoolId, accountId } = school;
  await tx('weaknesses').insert({
    schoolId,
    id: weaknessId,
    pilotId,
    causeId,
    ruleId: (await ruleInForce(school)).id,
    openedAt: at,
    state: 'open',
  });
  const known = await knownOf(school, pilotId, null);
  const drillIds = proposePlan(causeId, mode, { ...known, link, severity, told }).map(
    (planned) => planned.drillId,
  );
  await tx('plans').insert({
    schoolId,
    id: planId,
    weaknessId,
    accountId,
    madeAt: at,
    drillIds,
    decides: decidingAmong(causeOf(causeId), drillIds),
  });
}

/** Finds the pilot's weakness for this cause or opens one, and adds the move that the occurrence makes. */
async function openOrAdd(
  school: SchoolTx,
  occurrence: OccurrenceRow,
  fields: ConfirmFields,
  debrief: FromDebrief,
): Promise<string> {
  const { tx, schoolId, accountId } = school;
  const { pilotId, craftId } = occurrence;
  const { moveId, at, causeId } = fields;
  const { track, methods, ...pilot } = (await tx('pilots')
    .where({ id: pilotId })
    .first('mode', 'wind_limit_mps', 'hold_off', 'track', 'methods')) as Flies & TaughtRow;
  const there = (await tx('weaknesses').where({ pilotId, causeId }).first('id', 'state', 'signed_early')) as
    Known | undefined;
  const weaknessId = there?.id ?? fields.weaknessId;
  if (there) await aliasFor(school, fields.weaknessId, there.id);
  else await open(school, pilotId, fields, { ...debrief, mode: pilot.mode });
  const anew = there && opensAnew((await loadFacts(school, weaknessId)).rule, there);
  if (anew)
    await tx('weaknesses')
      .where({ id: weaknessId })
      .update({ ruleId: (await ruleInForce(school)).id });
  if (!there || anew)
    await tx('opening_stamps').insert({
      schoolId,
      id: moveId,
      weaknessId,
      at,
      ...pilot,
      craftId,
      toldBy: 'opening',
      taught: methodsFor(await methodsOfSchool(school), { track, methods }),
      accountId,
    });
  const kind = moveOfConfirmation(there?.state ?? null);
  await tx('moves').insert({
    schoolId,
    id: moveId,
    weaknessId,
    kind,
    at,
    accountId,
    occurrenceId: occurrence.id,
    happenedOn: debrief.happenedOn,
  });
  await recordEvent(school, {
    action: kind,
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId,
    data: { causeId, occurrenceId: occurrence.id },
  });
  return weaknessId;
}

/**
 * The trainer confirms the cause: the weakness opens, grows or re-opens.
 */
export async function confirm(
  school: SchoolTx,
  id: string,
  fields: ConfirmFields,
  debrief: FromDebrief = fromDebrief(null),
): Promise<{ weaknessId: string }> {
  const occurrence = await lockOccurrence(school, id);
  // Confirmed elsewhere and brought in from a file, it has no weakness yet: it may be confirmed here as
  // anything.
  if (occurrence.confirmedCauseId !== null && occurrence.weaknessId !== null) {
    if (occurrence.confirmedCauseId === fields.causeId) return { weaknessId: occurrence.weaknessId };
    throw conflict(
      `The cause is already confirmed as "${causeWords(occurrence.confirmedCauseId).name}": take that back first.`,
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
export async function unconfirm(
  school: SchoolTx,
  id: string,
  fields: UnconfirmFields,
): Promise<{ id: string }> {
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
