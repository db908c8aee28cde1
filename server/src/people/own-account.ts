import type { OwnSession } from '@skelby/core/pages/people';
import { keyOrNone } from '@skelby/core/schemas/fields';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { object, string } from 'yup';
import { inSchool, type SchoolTx } from '../db/in-school';
import { hashPassword } from '../db/password';
import { recordEvent } from '../facts/events';
import { bodyOf } from '../http/body';
import type { OfAccount } from '../http/second-factor';
import { assertPassword, type Who, whoAsks } from '../http/session';
import { assertPlain } from '../problem/plain';
import { assertStrong } from './strength';

export const typedText = (label: string) =>
  string()
    .strict()
    .defined(`${label} is empty: type it.`)
    .typeError(`${label} is no text: write it as text.`);
const passwordShape = object({ now: typedText('Password'), password: typedText('New password') }).noUnknown();
/** Null: all but the one that asks. */
const endShape = object({ id: keyOrNone('session') }).noUnknown();

/**
 * Ends sessions of an account: their devices are told so when they next ask, and wipe what they hold.
 * @returns how many
 */
export const endSessionsOf = (
  { tx }: SchoolTx,
  { accountId, but, only }: { readonly accountId: string; readonly but?: string; readonly only?: string },
): Promise<number> =>
  tx('sessions')
    .where({ accountId, ...(only ? { id: only } : {}) })
    .whereNull('ended_at')
    .modify((sessions) => {
      if (but) void sessions.whereNot({ id: but });
    })
    .update({ endedAt: tx.fn.now() }) as unknown as Promise<number>;

export const emailOf = (db: Knex, who: Who): Promise<string> =>
  inSchool(db, who, async ({ tx }) => {
    const own = (await tx('accounts').where({ id: who.accountId }).first('email')) as { email: string };
    return own.email;
  });

/**
 * Changes one's own password, at every school where it was the same; whoever is signed in elsewhere with the old one is
 * not any more.
 */
export const changePassword =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const who = await whoAsks(db, ctx);
    assertPlain(bodyOf(ctx));
    const { now, password } = await passwordShape.validate(bodyOf(ctx), { abortEarly: false });
    const email = await emailOf(db, who);
    const before = await assertPassword(db, ctx, who, { email, password: now });
    assertStrong(password, [who.name, email, who.schoolName]);
    const { rows: renewed } = (await db.raw('select * from renew_password(?, ?, ?)', [
      ...[email, before.passwordHash, await hashPassword(password)],
    ])) as { rows: OfAccount[] };
    for (const account of renewed)
      await inSchool(db, account, async (school) => {
        const { accountId } = account;
        await endSessionsOf(school, { accountId, but: who.sessionId });
        await recordEvent(school, { action: 'password-set', subject: 'account', subjectId: accountId });
      });
    ctx.status = 204;
  };

/** Where one is signed in. */
export async function ownSessions({ tx, accountId }: SchoolTx, ctx: Context): Promise<readonly OwnSession[]> {
  const { sessionId } = ctx.state['who'] as Who;
  const rows = (await tx('sessions')
    .where({ accountId })
    .where('expires_at', '>', tx.fn.now())
    .whereNull('ended_at')
    .orderByRaw('coalesce(used_at, made_at) desc')
    .select('id', 'device', 'made_at', 'used_at')) as Omit<OwnSession, 'here'>[];
  return rows.map((row) => ({ ...row, here: row.id === sessionId }));
}

/** Ends one session of one's own, or all but this one. */
export async function endSessions(school: SchoolTx, ctx: Context): Promise<{ readonly ended: number }> {
  assertPlain(bodyOf(ctx));
  const { id } = await endShape.validate(bodyOf(ctx), { abortEarly: false });
  const { accountId } = school;
  const { sessionId } = ctx.state['who'] as Who;
  const ended = await endSessionsOf(school, {
    accountId: accountId!,
    ...(id === null ? { but: sessionId } : { only: id }),
  });
  if (ended > 0)
    await recordEvent(school, {
      action: 'sessions-ended',
      subject: 'account',
      subjectId: accountId!,
      data: { ended },
    });
  return { ended };
}
