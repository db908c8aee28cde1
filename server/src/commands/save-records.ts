import type { savePilot, saveCraft, saveSite, saveFlight } from '@skelby/core/commands/save-records';
import type { SchoolTx } from '../db/in-school';
import { differences, recordEvent, type Change } from '../facts/events';
import { assertDayNotFuture } from '../facts/when';
import { assertNotStale, nextRevision, type Revised } from '../problem/based-on';
import { badField } from '../problem/problem';
import type { Handler } from './handler';

interface RecordKind {
  readonly table: 'pilots' | 'craft' | 'sites' | 'flights';
  readonly subject: Change['subject'];
}

/** Adds the record, or changes the one with this key; the same request twice changes nothing. */
async function saveRecord(
  school: SchoolTx,
  kind: RecordKind,
  id: string,
  { fields: whole, body }: { readonly fields: Readonly<Record<string, unknown>>; readonly body: unknown },
): Promise<Record<string, unknown>> {
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
  if (row['forgottenAt'])
    throw badField(
      'name',
      `${String(row['name'])} was forgotten at somebody's wish: add a new pilot instead.`,
    );
  const changed = differences(row, fields);
  if (changed) {
    await assertNotStale(school, row as unknown as Revised, fields, body);
    if (kind.table === 'flights' && 'pilotId' in changed)
      throw badField('pilotId', 'A flight keeps its pilot: add a new flight for the other pilot.');
    await tx(kind.table)
      .where({ id })
      .update({ ...fields, ...nextRevision(school, row as unknown as Revised) });
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

const saving =
  (kind: RecordKind): Handler<typeof savePilot | typeof saveCraft | typeof saveSite | typeof saveFlight> =>
  (school, { keys: { id }, fields, body }) =>
    saveRecord(school, kind, id, { fields, body });

export const savePilotRecord = saving({ table: 'pilots', subject: 'pilot' });
export const saveCraftRecord = saving({ table: 'craft', subject: 'craft' });
export const saveSiteRecord = saving({ table: 'sites', subject: 'site' });
export const saveFlightRecord = saving({ table: 'flights', subject: 'flight' });
