import type { saveSession as command } from '@skelby/core/commands/save-session';
import type { SessionFields } from '@skelby/core/schemas/session';
import { isDeepStrictEqual } from 'node:util';
import { recordEvent } from '../facts/events';
import { sessionRefusals } from '../facts/session-refusals';
import { assertNotStale, nextRevision, type Revised } from '../problem/based-on';
import { badField } from '../problem/problem';
import type { SchoolTx } from '../db/in-school';
import type { Handler } from './handler';

/** What the judge refuses is begun only with a reason. */
async function assertMayBegin(school: SchoolTx, content: SessionFields): Promise<void> {
  if (!content.goNoGo || content.goNoGo.reason) return;
  const [first] = await sessionRefusals(school, content);
  if (first) throw badField('goNoGo', `No-go: ${first} To go all the same, say why.`);
}

/** Saves a session as it stands: planned, running or done. What is done is done: it is not planned again. */
export const saveSession: Handler<typeof command> = async (
  school,
  { keys: { id }, fields: content, body },
) => {
  const { tx, schoolId, accountId } = school;
  const pilots = [...new Set(content.packs.map((pack) => pack.pilotId))];
  const known = (await tx('pilots').whereIn('id', pilots).pluck('id')) as string[];
  if (known.length < pilots.length)
    throw badField('packs', 'There is no such pilot in your school: pick one from the list.');
  const before = (await tx('training_sessions').where({ id }).forUpdate().first()) as
    (Revised & { content: SessionFields }) | undefined;
  if (before?.content.state === 'done' && content.state !== 'done')
    throw badField('state', 'This session is over: plan a new one.');
  if (content.state === 'running' && before?.content.state !== 'running')
    await assertMayBegin(school, content);
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
};
