import type { OwnCalendar } from '@skelby/core/pages/people';
import { randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { v7 as uuid } from 'uuid';
import { inSchool, type SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { hashOfToken } from '../facts/private-link';
import { calendarPage, type CalendarOwner } from '../pages/calendar';
import { Problem } from '../problem/problem';

/** A link for a calendar program: it opens days, is told once, and a new one ends the one before. */

/** Use is seen to the hour: programs ask every few minutes. */
const SEEN_TO_HOURS = 1;
const ASKED_AGAIN_S = 900;

const open = ({ tx, accountId }: SchoolTx) => tx('calendar_links').where({ accountId }).whereNull('ended_at');

export async function ownCalendar(school: SchoolTx): Promise<OwnCalendar> {
  const link = (await open(school).first('made_at', 'last_used_at')) as
    { madeAt: string; lastUsedAt: string | null } | undefined;
  return { madeAt: link?.madeAt ?? null, lastUsedAt: link?.lastUsedAt ?? null };
}

export async function endCalendar(school: SchoolTx): Promise<undefined> {
  const ended = (await open(school).update({ endedAt: school.tx.fn.now() }, ['id'])) as { id: string }[];
  for (const { id } of ended)
    await recordEvent(school, {
      action: 'revoked',
      subject: 'link',
      subjectId: id,
      data: { calendar: true },
    });
}

export async function makeCalendar(school: SchoolTx): Promise<{ readonly token: string }> {
  await endCalendar(school);
  const { tx, schoolId, accountId } = school;
  const [id, token] = [uuid(), randomBytes(24).toString('base64url')];
  await tx('calendar_links').insert({ schoolId, id, accountId, tokenHash: hashOfToken(token) });
  await recordEvent(school, { action: 'added', subject: 'link', subjectId: id, data: { calendar: true } });
  return { token };
}

interface Found extends CalendarOwner {
  readonly schoolId: string;
  readonly linkId: string;
}

/** What a calendar program reads, by the token in its address. @throws Problem 404 */
export const readCalendar =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { token } = ctx['params'] as { token: string };
    const { rows } = (await db.raw('select * from calendar_by_token(?)', [hashOfToken(token)])) as {
      rows: Found[];
    };
    const [found] = rows;
    if (!found)
      throw new Problem(
        404,
        'Not found',
        'This calendar is there no more: make a new link under Your account.',
      );
    const { schoolId, accountId, linkId } = found;
    ctx.body = await inSchool(db, { schoolId, accountId }, async (school) => {
      const { tx } = school;
      await tx('calendar_links')
        .where({ id: linkId })
        .whereRaw(`(last_used_at is null or last_used_at < now() - interval '${SEEN_TO_HOURS} hours')`)
        .update({ lastUsedAt: tx.fn.now() });
      return calendarPage(school, found, `${ctx.protocol}://${ctx.host}`);
    });
    ctx.type = 'text/calendar; charset=utf-8';
    ctx.attachment('training.ics', { type: 'inline' });
    ctx.set('Cache-Control', `private, max-age=${ASKED_AGAIN_S}`);
  };
