import type { TrainingRecord } from '@skelby/core/exchange/training-record';
import type { Context } from 'koa';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { recordEvent } from '../facts/events';
import { keyIn } from '../http/in-their-school';
import { conflict, notFound } from '../problem/problem';
import { type ClearedBy, clearedSheet, courseSheet, recordSheet } from './record-sheets';
import { certificateFingerprint, keyOfSchool } from './school-key';
import { type Sheet, sheetPdf } from './sheet-pdf';
import { signedPdf } from './signed-pdf';
import { recordOf } from './training-record';

/** A record on paper, signed by the school; what left is in the history. */
async function leavingSigned(
  school: SchoolTx,
  ctx: Context,
  name: string,
  of: { readonly record: TrainingRecord; readonly sheet: (fingerprint: string) => Sheet },
): Promise<Buffer> {
  const { record } = of;
  const key = await keyOfSchool(school);
  const sheet = of.sheet(certificateFingerprint(key.certificate));
  const at = new Date(record.madeAt);
  const attached = {
    ...{ name: 'training-record.json', content: JSON.stringify(record, null, 2) },
    description: sheet.title,
  };
  const pdf = await signedPdf(await sheetPdf(sheet, attached, at), key, {
    ...{ name: record.school.name, reason: sheet.title, at },
  });
  const { id: pilotId } = record.pilot;
  await recordEvent(school, {
    ...{ action: 'exported', subject: 'file', subjectId: pilotId, pilotId, reason: name },
  });
  ctx.attachment(name);
  ctx.type = 'application/pdf';
  return pdf;
}

/** The whole training record of a pilot. @throws Problem 404 for nobody, and for whoever was forgotten */
export async function trainingRecordPdf(school: SchoolTx, ctx: Context): Promise<Buffer> {
  const record = await recordOf(school, keyIn(ctx, 'id', 'pilot'));
  return leavingSigned(school, ctx, 'training-record.pdf', {
    record,
    sheet: (fingerprint) => recordSheet(record, fingerprint),
  });
}

/** That a pilot has shown the whole course. @throws Problem 404, 409 where a lesson is not shown yet */
export async function coursePdf(school: SchoolTx, ctx: Context): Promise<Buffer> {
  const record = await recordOf(school, keyIn(ctx, 'id', 'pilot'));
  const left = record.course.filter(({ shown }) => !shown).length;
  if (left > 0)
    throw conflict(
      `${left} of ${record.course.length} lessons are not shown yet: show them, then take it along.`,
    );
  return leavingSigned(school, ctx, 'course.pdf', {
    record,
    sheet: (fingerprint) => courseSheet(record, fingerprint),
  });
}

/** Reps that the weakness was signed by: on the craft, of the drills that decide, since it was opened and up to the signature. */
const CLEARED_BY = `
  select count(*) filter (where purpose = 'test')::int as tests, count(*) filter (where purpose = 'test' and met)::int as tests_met,
    count(*) filter (where purpose = 'check')::int as checks, count(*) filter (where purpose = 'check' and met)::int as checks_met,
    count(distinct day) filter (where purpose = 'test')::int as days,
    (select unacceptable_miss_percent from clearing_rules c where c.id = w.rule_id)::float as miss_percent,
    (select risk_percent from clearing_rules c where c.id = w.rule_id)::float as risk_percent
    from weaknesses w
    left join lateral (select coalesce(decides, drill_ids) as drills from plans p where p.weakness_id = w.id
      order by made_at desc limit 1) p on true
    left join reps r on r.pilot_id = w.pilot_id and r.drill_id = any(p.drills) and r.taken_back_at is null
      and r.flown_on = 'craft' and r.flown_at between w.opened_at and :signedAt
   where w.id = :id group by w.id, w.rule_id`;

/** That a weakness was cleared by the rule. @throws Problem 404, 409 where it is not, or was signed early */
export async function clearedPdf(school: SchoolTx, ctx: Context): Promise<Buffer> {
  const { tx } = school;
  const id = keyIn(ctx, 'id', 'weakness');
  const row = (await tx('weaknesses').where({ id }).first('pilot_id')) as { pilotId: string } | undefined;
  if (!row) throw notFound('weakness');
  const record = await recordOf(school, row.pilotId);
  const weakness = record.weaknesses.find((each) => each.id === id);
  if (!weakness?.signed) throw conflict('This weakness is not signed: clear it, then take it along.');
  if (weakness.signed.early)
    throw conflict('This weakness was signed early, with evidence missing: the training record says so.');
  const [by] = await rowsOf<ClearedBy>(tx, tx.raw(CLEARED_BY, { id, signedAt: weakness.signed.at }));
  return leavingSigned(school, ctx, 'cleared.pdf', {
    record: { ...record, weaknesses: [weakness] },
    sheet: (fingerprint) => clearedSheet(record, weakness, by!, fingerprint),
  });
}

/** What the school's signatures are checked against, as PEM. */
export async function recordCertificate(school: SchoolTx, ctx: Context): Promise<string> {
  const { certificate } = await keyOfSchool(school);
  ctx.attachment('school-certificate.pem');
  ctx.type = 'application/x-pem-file';
  return certificate;
}
