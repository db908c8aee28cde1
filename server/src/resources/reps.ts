import type Router from '@koa/router';
import { drillOf, isFlown } from '@skelby/core/drills/drills';
import { reasonShape, type RepFields, repShape } from '@skelby/core/schemas/loop';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { badField, conflict, notFound } from '../http/problems';
import { differences, recordEvent } from './events';
import { assertDayNotFuture, assertNotFuture } from './when';
import { lockWeakness, refreshSharing } from './weakness-facts';

function assertFits(fields: RepFields): void {
  const drill = drillOf(fields.drillId);
  if (fields.side !== null && !drill.sides.includes(fields.side)) {
    throw badField(
      'side',
      drill.sides.length === 0
        ? `${drill.name} has no sides: leave Side empty.`
        : `Side must be one of ${drill.sides.join(', ')} for ${drill.name}.`,
    );
  }
  if (fields.purpose !== 'practice' && fields.level !== 0)
    throw badField(
      'level',
      'Only practice is set easier or harder: tests and checks are flown at the standard.',
    );
  if (fields.purpose !== 'practice' && !isFlown(drill))
    throw badField('purpose', `${drill.name} is not flown: its reps are practice.`);
  if (fields.met && fields.missReason !== null)
    throw badField('missReason', 'A rep that was met has no reason for a miss: leave it empty.');
  if (fields.flownOn === 'simulator' && drill.simulator === 'no-use')
    throw badField('flownOn', `${drill.name} cannot be shown on the simulator: fly it on the craft.`);
}

/** Records one attempt. A rep is written once: the same request again is the same rep. */
export async function putRep(school: SchoolTx, id: string, body: unknown): Promise<unknown> {
  const given = await repShape.validate(body, { abortEarly: false });
  assertNotFuture('flownAt', given.flownAt);
  assertDayNotFuture(given.day);
  assertFits(given);
  const { tx, schoolId, accountId } = school;
  const { id: weaknessId, pilotId } = await lockWeakness(school, given.weaknessId);
  const fields = { ...given, weaknessId };
  const added = (await tx('reps')
    .insert({ schoolId, id, pilotId, accountId, ...fields })
    .onConflict(['school_id', 'id'])
    .ignore()
    .returning('id')) as unknown[];
  if (added.length === 0) {
    const row = (await tx('reps').where({ id }).first()) as Record<string, unknown>;
    if (differences(row, { ...fields, flownAt: new Date(fields.flownAt).toISOString() }))
      throw conflict('This rep is already recorded otherwise: take it back and record a new one.');
    return { id };
  }
  await recordEvent(school, { action: 'recorded', subject: 'rep', subjectId: id, pilotId, data: fields });
  await refreshSharing(school, pilotId, fields);
  return { id };
}

/** Takes a rep back, with a reason. It stays in the record and no longer counts. */
export async function takeRepBack(school: SchoolTx, id: string, body: unknown): Promise<unknown> {
  const { reason } = await reasonShape.validate(body, { abortEarly: false });
  const rep = (await school.tx('reps').where({ id }).first()) as
    { weaknessId: string; pilotId: string; drillId: string } | undefined;
  if (!rep) throw notFound('rep');
  await lockWeakness(school, rep.weaknessId);
  const taken = await school
    .tx('reps')
    .where({ id })
    .whereNull('taken_back_at')
    .update({ takenBackAt: school.tx.fn.now(), takenBackReason: reason });
  if (taken === 0) return { id };
  await recordEvent(school, {
    action: 'taken-back',
    subject: 'rep',
    subjectId: id,
    pilotId: rep.pilotId,
    reason,
  });
  await refreshSharing(school, rep.pilotId, rep);
  return { id };
}

export function repRoutes(router: Router, inSchool: InTheirSchool): void {
  const at = (ctx: Parameters<typeof keyIn>[0]) => keyIn(ctx, 'id', 'rep');
  router.put(
    '/reps/:id',
    inSchool((school, ctx) => putRep(school, at(ctx), bodyOf(ctx))),
  );
  router.put(
    '/reps/:id/taken-back',
    inSchool((school, ctx) => takeRepBack(school, at(ctx), bodyOf(ctx))),
  );
}
