import type { OtherSchool } from '@skelby/core/pages/people';
import { key } from '@skelby/core/schemas/fields';
import { codeOrNone } from '@skelby/core/schemas/sign-in';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { object } from 'yup';
import { inSchool } from '../db/in-school';
import { accountsOf, type PersonsAccount } from '../http/accounts-of';
import { bodyOf } from '../http/body';
import { assertSecondFactor } from '../http/second-factor';
import { endSession, letInNew, type Who, whoAsks } from '../http/session';
import { SignInLimits } from '../http/sign-in-limits';
import { assertPlain } from '../problem/plain';
import { notFound } from '../problem/problem';
import { emailOf } from './own-account';

/** One person at several schools: the same address, and as long as it is the same password, one way in. */

interface Person {
  readonly who: Who;
  readonly email: string;
  readonly others: readonly (PersonsAccount & { readonly opens: boolean })[];
}

async function personOf(db: Knex, ctx: Context): Promise<Person> {
  const who = await whoAsks(db, ctx);
  const email = await emailOf(db, who);
  const all = await accountsOf(db, email);
  const own = all.find(({ accountId }) => accountId === who.accountId);
  const others = all
    .filter((account) => account !== own)
    // A password that a lead of one school has set opens that school alone.
    .map((account) => ({ ...account, opens: account.passwordHash === own?.passwordHash }));
  return { who, email, others };
}

/** The other schools where one's address signs in, and whether one's password opens them. */
export const ownSchools =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { others } = await personOf(db, ctx);
    ctx.body = others.map(({ schoolId: id, schoolName: name, opens }) => ({
      ...{ id, name, opens },
    })) satisfies readonly OtherSchool[];
  };

const goShape = object({ schoolId: key('school'), code: codeOrNone }).noUnknown();

/**
 * Goes from the school that one is signed in at to another; the session before is over.
 * @throws Problem 404 where one's password opens no such school, 401 where that one asks for a code
 */
export const goToSchool =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { who, email, others } = await personOf(db, ctx);
    assertPlain(bodyOf(ctx));
    const { schoolId, code } = await goShape.validate(bodyOf(ctx), { abortEarly: false });
    const there = others.find((account) => account.schoolId === schoolId && account.opens);
    if (!there) throw notFound('school of yours');
    const limits = new SignInLimits(db);
    const trying = { email, source: ctx.ip, device: null };
    await limits.count(trying, (seconds) => ctx.set('Retry-After', String(seconds)));
    await assertSecondFactor(db, there, code);
    await limits.wasRight(trying);
    await inSchool(db, who, (school) => endSession(school, who.sessionId));
    await letInNew(db, ctx, { ...there, email });
    ctx.body = { schoolName: there.schoolName };
  };
