import type Router from '@koa/router';
import { isDrillId } from '@skelby/core/drills/drills';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import { ownDrillShape, standardShape } from '@skelby/core/schemas/drill';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { notFound, Problem } from '../http/problems';
import { recordEvent } from './events';

/**
 * Every version of the school's changed standards and own drills, newest first, and how many reps were flown
 * under each.
 */
export async function drillVersions({ tx }: SchoolTx): Promise<unknown> {
  const { rows } = (await tx.raw(`
    select v.drill_id, v.number, v.fields, v.reason, v.made_at, a.name as by,
           (select count(*) from reps r where r.school_id = v.school_id and r.drill_id = v.drill_id and r.drill_version = v.number and r.taken_back_at is null) as reps
      from drill_versions v left join accounts a on a.school_id = v.school_id and a.id = v.account_id
     order by v.drill_id, v.number desc`)) as { rows: unknown[] };
  return rows;
}

/**
 * Adds a version. Earlier ones stay, and so do the reps flown under them. The same key again adds nothing.
 */
export async function putDrillVersion(
  school: SchoolTx,
  drillId: string,
  id: string,
  body: unknown,
): Promise<{ id: string; number: number }> {
  if (!isDrillId(drillId)) throw notFound('drill');
  const { reason, base, ...fields } = await (isOwnDrillId(drillId) ? ownDrillShape : standardShape).validate(
    body,
    { abortEarly: false },
  );
  const { tx, schoolId, accountId } = school;
  await tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`drill ${schoolId} ${drillId}`]);
  const there = (await tx('drill_versions').where({ id }).first('number')) as { number: number } | undefined;
  if (there) return { id, number: there.number };
  const last = (await tx('drill_versions')
    .where({ drillId })
    .orderBy('number', 'desc')
    .first('number', 'fields')) as { number: number; fields: Record<string, unknown> } | undefined;
  if ((last?.number ?? 0) !== base) {
    throw new Problem(
      409,
      'Changed meanwhile',
      'Somebody changed this drill since you opened it: look at both and choose.',
      [],
      { theirs: last?.fields ?? {}, override: { base: last?.number ?? 0 } },
    );
  }
  const number = base + 1;
  await tx('drill_versions').insert({
    schoolId,
    id,
    drillId,
    number,
    fields: JSON.stringify(fields),
    reason,
    accountId,
  });
  await recordEvent(school, {
    action: 'changed',
    subject: 'drill',
    subjectId: id,
    reason,
    data: { drillId, number },
  });
  return { id, number };
}

export function drillRoutes(router: Router, inSchool: InTheirSchool): void {
  router.get(
    '/drills',
    inSchool((school) => drillVersions(school)),
  );
  router.put(
    '/drills/:drillId/versions/:id',
    inSchool((school, ctx) =>
      putDrillVersion(
        school,
        String((ctx['params'] as Record<string, string>)['drillId']),
        keyIn(ctx, 'id', 'version'),
        bodyOf(ctx),
      ),
    ),
  );
}
