import type Router from '@koa/router';
import { craftShape, flightShape, pilotShape, siteShape } from '@skelby/core/schemas/records';
import type { ObjectSchema } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { assertNotStale, nextRevision, type Revised } from '../http/based-on';
import { badField } from '../http/problems';
import { type Change, differences, recordEvent } from './events';
import { refreshPilot, refreshDeferred } from './weakness-facts';
import { assertDayNotFuture } from './when';

interface RecordKind {
  readonly table: 'pilots' | 'craft' | 'sites' | 'flights';
  readonly subject: Change['subject'];
  readonly shape: ObjectSchema<Record<string, unknown>>;
}

export const RECORD_KINDS = {
  pilots: { table: 'pilots', subject: 'pilot', shape: pilotShape },
  craft: { table: 'craft', subject: 'craft', shape: craftShape },
  sites: { table: 'sites', subject: 'site', shape: siteShape },
  flights: { table: 'flights', subject: 'flight', shape: flightShape },
} as unknown as Readonly<Record<'pilots' | 'craft' | 'sites' | 'flights', RecordKind>>;

/** Works a pilot's weaknesses out at once, in a batch too. */
async function workOutNow(school: SchoolTx, pilotId: string): Promise<void> {
  await refreshDeferred(school);
  await refreshPilot({ ...school, deferred: undefined }, pilotId);
}

/** Adds the record, or changes the one with this key; the same request twice changes nothing. */
export async function saveRecord(
  school: SchoolTx,
  kind: RecordKind,
  id: string,
  body: unknown,
): Promise<Record<string, unknown>> {
  const whole = await kind.shape.validate(body, { abortEarly: false });
  if (kind.table === 'flights') assertDayNotFuture(whole['day'] as string);
  const { tx, schoolId } = school;
  const row = (await tx(kind.table).where({ id }).forUpdate().first()) as Record<string, unknown> | undefined;
  // What an older phone does not know of it does not change either.
  const fields = row
    ? Object.fromEntries(Object.entries(whole).filter(([name]) => name in (body as object)))
    : whole;
  const pilotId = kind.subject === 'pilot' ? id : (fields['pilotId'] as string | undefined);
  if (!row) {
    await tx(kind.table).insert({ schoolId, id, ...fields });
    await recordEvent(school, {
      action: 'added',
      subject: kind.subject,
      subjectId: id,
      pilotId,
      data: fields,
    });
    return { id, ...fields };
  }
  const changed = differences(row, fields);
  if (changed) {
    await assertNotStale(school, row as unknown as Revised, fields, body);
    if (kind.table === 'flights' && 'pilotId' in changed)
      throw badField('pilotId', 'A flight keeps its pilot: add a new flight for the other pilot.');
    const rejudges = kind.table === 'pilots' && ('mode' in changed || 'windLimitMps' in changed);
    // What was flown is judged once more as the pilot was: a check that failed is then on record.
    if (rejudges) await workOutNow(school, id);
    await tx(kind.table)
      .where({ id })
      .update({ ...fields, ...nextRevision(school, row as unknown as Revised) });
    if (rejudges) await workOutNow(school, id);
    await recordEvent(school, {
      action: 'changed',
      subject: kind.subject,
      subjectId: id,
      pilotId,
      data: changed,
    });
  }
  return { id, ...fields };
}

export function recordRoutes(router: Router, inSchool: InTheirSchool): void {
  for (const kind of Object.values(RECORD_KINDS)) {
    router.put(
      `/${kind.table}/:id`,
      inSchool((school, ctx) => saveRecord(school, kind, keyIn(ctx, 'id', kind.subject), bodyOf(ctx))),
    );
  }
}
