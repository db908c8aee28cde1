import { causeWords } from '@skelby/copy/causes';
import { lessonWords } from '@skelby/copy/course';
import {
  RECORD_FORMAT,
  RECORD_VERSION,
  type RecordedWeakness,
  type TrainingRecord,
  type XapiStatement,
  xapiStatements,
} from '@skelby/core/exchange/training-record';
import type { Context } from 'koa';
import { v5 as keyFrom } from 'uuid';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { recordEvent } from '../facts/events';
import { keyIn } from '../http/in-their-school';
import { courseOf, type TaughtPilot } from '../pages/course';
import { notFound } from '../problem/problem';

/** Of each weakness the signature that stands: not undone, and nothing was opened again after it. */
const WEAKNESSES = `
  select w.id, w.cause_id, to_char(w.opened_at at time zone 'UTC', 'YYYY-MM-DD') as opened_on, w.state,
    (select json_build_object('id', m.id, 'by', coalesce(a.name, ''), 'early', m.kind = 'signed-early',
        'at', to_char(m.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'))
       from moves m left join accounts a on a.school_id = m.school_id and a.id = m.account_id
      where m.weakness_id = w.id and m.kind in ('signed', 'signed-early')
        and not exists (select 1 from moves u where u.undoes = m.id)
        and not exists (select 1 from moves r where r.weakness_id = w.id and r.kind = 'reopened' and r.at > m.at
          and not exists (select 1 from moves v where v.undoes = r.id))
      order by m.at desc, m.id desc limit 1) as signed
    from weaknesses w where w.pilot_id = :pilotId and w.state <> 'withdrawn' order by w.opened_at, w.id`;

const FLOWN = `
  select count(*)::int as flights, coalesce(sum(packs), 0)::int as packs, coalesce(sum(minutes), 0)::float as minutes,
    to_char(min(day), 'YYYY-MM-DD') as first_day, to_char(max(day), 'YYYY-MM-DD') as last_day
    from flights where pilot_id = :pilotId`;

const OCCURRED = `
  select count(*) filter (where kind = 'crash')::int as crashes, count(*) filter (where kind = 'near-miss')::int as near_misses
    from occurrences where pilot_id = :pilotId and withdrawn_at is null`;

/** What a pilot takes along. @throws Problem 404 for nobody, and for whoever was forgotten */
export async function recordOf(school: SchoolTx, pilotId: string): Promise<TrainingRecord> {
  const { tx, schoolId } = school;
  const pilot = (await tx('pilots')
    .where({ id: pilotId })
    .first(...['name', 'shown', 'track', 'methods', 'forgotten_at'])) as
    (TaughtPilot & { name: string; forgottenAt: string | null }) | undefined;
  if (!pilot || pilot.forgottenAt !== null) throw notFound('pilot');
  const read = <Row extends object>(sql: string) => rowsOf<Row>(tx, tx.raw(sql, { pilotId }));
  const [schools, [flown], [occurrences], weaknesses, { lessons }] = await Promise.all([
    rowsOf<{ readonly name: string }>(tx, tx('schools').where({ id: schoolId }).select('name')),
    read<TrainingRecord['flown']>(FLOWN),
    read<TrainingRecord['occurrences']>(OCCURRED),
    read<RecordedWeakness>(WEAKNESSES),
    courseOf(school, pilotId, pilot),
  ]);
  return {
    ...{ format: RECORD_FORMAT, version: RECORD_VERSION, madeAt: new Date().toISOString() },
    school: { id: schoolId, name: schools[0]!.name },
    pilot: { id: pilotId, name: pilot.name },
    ...{ flown: flown!, occurrences: occurrences!, weaknesses },
    course: lessons.map(({ lesson, parts }) => {
      const days = parts.map(({ shownOn }) => shownOn);
      return {
        lessonId: lesson.id,
        shown: parts.every(({ shownBy }) => shownBy !== null),
        // What was shown before anything was counted here has no day: the lesson has none either.
        shownOn: days.includes(null) ? null : (days.sort().at(-1) ?? null),
      };
    }),
  };
}

/** What leaves the school is in its history. */
async function leaving(school: SchoolTx, ctx: Context, name: string): Promise<TrainingRecord> {
  const pilotId = keyIn(ctx, 'id', 'pilot');
  const record = await recordOf(school, pilotId);
  await recordEvent(school, {
    ...{ action: 'exported', subject: 'file', subjectId: pilotId, pilotId, reason: name },
  });
  ctx.attachment(name);
  return record;
}

/** The training record of a pilot as open JSON. @throws Problem 404 for nobody, and for whoever was forgotten */
export const trainingRecord = (school: SchoolTx, ctx: Context): Promise<TrainingRecord> =>
  leaving(school, ctx, 'training-record.json');

/** The same as statements of the Experience API, for a learning record store. @throws Problem 404 */
export async function trainingStatements(school: SchoolTx, ctx: Context): Promise<readonly XapiStatement[]> {
  const record = await leaving(school, ctx, 'xapi.json');
  return xapiStatements(
    record,
    { cause: (id) => causeWords(id).name, lesson: (id) => lessonWords(id).name },
    {
      home: `${ctx.protocol}://${ctx.host}`,
      keyOf: (lessonId) => keyFrom(`lesson ${lessonId}`, record.pilot.id),
    },
  );
}
