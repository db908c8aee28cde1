import type { NewSecondFactor, OwnSecondFactor } from '@skelby/core/pages/people';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { object } from 'yup';
import { inSchool, type SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { bodyOf } from '../http/body';
import { newSecret, newSpareCodes, secondFactorOf, spendsCode, totpOf } from '../http/second-factor';
import { assertPassword, type Who, whoAsks } from '../http/session';
import { assertPlain } from '../problem/plain';
import { badField, conflict } from '../problem/problem';
import { emailOf, typedText } from './own-account';

/** One's own second factor: set up with the password, on with a first code, off with the password. */

const passwordShape = object({ now: typedText('Password') }).noUnknown();
const codeShape = object({
  code: typedText('Code').max(40, 'Code is too long: at most 40 characters.'),
}).noUnknown();

/** Takes it off; what asks for nothing afterwards is written down. */
export async function dropSecondFactor(school: SchoolTx, accountId: string): Promise<void> {
  const { tx } = school;
  const had = await tx('accounts').where({ id: accountId }).whereNotNull('second_since').first('id');
  await tx('accounts')
    .where({ id: accountId })
    .update({ secondSecret: null, secondSince: null, spareHashes: tx.raw(`'{}'`) });
  if (had)
    await recordEvent(school, { action: 'second-factor-off', subject: 'account', subjectId: accountId });
}

/** Whoever gives their password as well. */
async function sureOf(db: Knex, ctx: Context): Promise<{ readonly who: Who; readonly email: string }> {
  const who = await whoAsks(db, ctx);
  assertPlain(bodyOf(ctx));
  const { now } = await passwordShape.validate(bodyOf(ctx), { abortEarly: false });
  const email = await emailOf(db, who);
  await assertPassword(db, ctx, who, { email, password: now });
  return { who, email };
}

export const ownSecondFactor =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { since, spare } = await secondFactorOf(db, await whoAsks(db, ctx));
    ctx.body = { since, spare } satisfies OwnSecondFactor;
  };

/** A new secret, not asked for until a first code of it was given. @throws Problem 409 where one is on */
export const beginSecondFactor =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { who, email } = await sureOf(db, ctx);
    const secret = newSecret();
    const begun = await inSchool(db, who, ({ tx }) =>
      tx('accounts')
        .where({ id: who.accountId })
        .whereNull('second_since')
        .update({ secondSecret: secret, secondStep: 0 }),
    );
    if (begun === 0) throw conflict('A second factor is on already: take it off first.');
    ctx.body = { secret, address: totpOf(secret, email).toString() } satisfies NewSecondFactor;
  };

export const switchSecondFactorOn =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const who = await whoAsks(db, ctx);
    assertPlain(bodyOf(ctx));
    const { code } = await codeShape.validate(bodyOf(ctx), { abortEarly: false });
    const { secret, since } = await secondFactorOf(db, who);
    if (secret === null || since !== null)
      throw conflict('There is no second factor being set up: begin anew.');
    if (!(await spendsCode(db, who, { secret, code })))
      throw badField(
        'code',
        'Code is not right: type the six figures that are shown now; check the clock of your phone.',
      );
    const { codes, hashes } = newSpareCodes();
    await inSchool(db, who, async (school) => {
      const { tx } = school;
      await tx('accounts')
        .where({ id: who.accountId })
        .update({ secondSince: tx.fn.now(), spareHashes: hashes });
      await recordEvent(school, {
        action: 'second-factor-on',
        subject: 'account',
        subjectId: who.accountId,
      });
    });
    ctx.body = { codes };
  };

export const switchSecondFactorOff =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { who } = await sureOf(db, ctx);
    await inSchool(db, who, (school) => dropSecondFactor(school, who.accountId));
    ctx.status = 204;
  };
