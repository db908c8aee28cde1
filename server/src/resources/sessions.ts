import { isDeepStrictEqual } from 'node:util';
import type Router from '@koa/router';
import { type SessionFields, sessionShape } from '@skelby/core/schemas/session';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { assertNotStale, nextRevision, type Revised } from '../http/based-on';
import { badField, notFound } from '../http/problems';
import { recordEvent } from './events';

const DAYS_SHOWN = 30;

/** Sessions of the last weeks and those to come, newest first. */
export const recentSessions = ({ tx }: SchoolTx): Promise<unknown> =>
  tx('training_sessions as s')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 's.school_id').andOn('a.id', 's.account_id'))
    .select('s.id', 's.content', 's.revision', 's.account_id', 'a.name as by')
    .where('s.day', '>', tx.raw('current_date - ?::int', [DAYS_SHOWN]))
    .orderBy([
      { column: 's.day', order: 'desc' },
      { column: 's.id', order: 'desc' },
    ]) as unknown as Promise<unknown>;

/** Saves a session as it stands: planned, running or done. What is done is done: it is not planned again. */
export async function putSession(school: SchoolTx, id: string, body: unknown): Promise<{ id: string }> {
  const content = await sessionShape.validate(body, { abortEarly: false });
  const { tx, schoolId, accountId } = school;
  const pilots = [...new Set(content.packs.map((pack) => pack.pilotId))];
  const known = (await tx('pilots').whereIn('id', pilots).pluck('id')) as string[];
  if (known.length < pilots.length)
    throw badField('packs', 'There is no such pilot in your school: pick one from the list.');
  const before = (await tx('training_sessions').where({ id }).forUpdate().first()) as
    (Revised & { content: SessionFields }) | undefined;
  if (before?.content.state === 'done' && content.state !== 'done')
    throw badField('state', 'This session is over: plan a new one.');
  const row = { day: content.day, content: JSON.stringify(content), changedAt: tx.fn.now() };
  if (before) {
    if (isDeepStrictEqual({ ...before.content }, content)) return { id };
    await assertNotStale(school, { ...before, ...before.content }, content, body);
    await tx('training_sessions')
      .where({ id })
      .update({ ...row, accountId, ...nextRevision(school, before) });
  } else {
    await tx('training_sessions').insert({ schoolId, id, accountId, ...row });
  }
  if (before?.content.state === content.state)
    await recordEvent(school, {
      action: 'changed',
      subject: 'session',
      subjectId: id,
      data: { day: content.day },
    });
  else
    await recordEvent(school, {
      action: content.state,
      subject: 'session',
      subjectId: id,
      reason: content.goNoGo?.reason ?? null,
      data: { day: content.day, goNoGo: content.goNoGo },
    });
  return { id };
}

export function sessionRoutes(router: Router, inSchool: InTheirSchool): void {
  router.get(
    '/sessions',
    inSchool((school) => recentSessions(school)),
  );
  router.get(
    '/sessions/:id',
    inSchool(async ({ tx }, ctx) => {
      const row = (await tx('training_sessions')
        .where({ id: keyIn(ctx, 'id', 'session') })
        .first('id', 'content', 'revision')) as unknown;
      if (!row) throw notFound('session');
      return row;
    }),
  );
  router.put(
    '/sessions/:id',
    inSchool((school, ctx) => putSession(school, keyIn(ctx, 'id', 'session'), bodyOf(ctx))),
  );
}
