import { randomBytes } from 'node:crypto';
import type { Invited, PeoplePage } from '@skelby/core/pages/people';
import { maySetRole, type Role, ROLES } from '@skelby/core/people/roles';
import { choice, keyOrNone, line } from '@skelby/core/schemas/fields';
import { signInShape } from '@skelby/core/schemas/sign-in';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { v7 as uuid } from 'uuid';
import { object } from 'yup';
import { inSchool, type SchoolTx } from '../db/in-school';
import { hashPassword } from '../db/password';
import { recordEvent } from '../facts/events';
import { hashOfToken } from '../facts/private-link';
import { bodyOf } from '../http/body';
import { accountsOf, openedBy, type PersonsAccount } from '../http/accounts-of';
import { letInNew } from '../http/session';
import { SignInLimits } from '../http/sign-in-limits';
import { assertPlain } from '../problem/plain';
import { badField, conflict, notFound, Problem } from '../problem/problem';
import { dropSecondFactor } from './own-second-factor';
import { assertNoneOf } from './accounts';
import { apiTokens } from './api-tokens';
import { endSessionsOf } from './own-account';
import { assertStrong } from './strength';
import { isSandbox } from './sandbox';

const OPEN_DAYS = 7;
const MS_PER_DAY = 86_400_000;

const inviteShape = object({
  role: choice('role', ROLES),
  /** Set: a new password for this account, and no new account. */
  accountId: keyOrNone('account'),
}).noUnknown();

/** Everybody of the school, and the links that are out. */
export async function peoplePage(school: SchoolTx): Promise<PeoplePage> {
  const { tx } = school;
  const { rows: accounts } = (await tx.raw(`
    select a.id, a.name, a.email, a.role, a.ended_at,
      (select max(greatest(s.made_at, s.used_at)) from sessions s where s.school_id = a.school_id and s.account_id = a.id)
        as last_seen_at
    from accounts a order by a.ended_at nulls first, a.name`)) as { rows: PeoplePage['accounts'] };
  const invitations = (await tx('invitations')
    .whereNull('used_at')
    .whereNull('ended_at')
    .where('expires_at', '>', tx.fn.now())
    .orderBy('made_at', 'desc')
    .select('id', 'role', 'account_id', 'made_at', 'expires_at')) as PeoplePage['invitations'];
  return { accounts, invitations, tokens: await apiTokens(school) };
}

const notYours = () =>
  new Problem(403, 'Not yours to do', 'Only the owner of the school makes or changes an owner: ask them.');

/** The role that a link gives: that of the account it is a new password for, else the one asked for. */
async function roleOfLink(
  { tx }: SchoolTx,
  { role, accountId }: { readonly role: Role; readonly accountId: string | null },
): Promise<Role> {
  if (accountId === null) return role;
  const account = (await tx('accounts').where({ id: accountId }).first('role', 'ended_at')) as
    { role: Role; endedAt: string | null } | undefined;
  if (!account) throw notFound('account');
  if (account.endedAt) throw conflict('This account is ended: let it sign in again first.');
  return account.role;
}

/** A link's token is told once; only its hash is kept. */
interface Made {
  readonly id: string;
  readonly token: string;
  readonly expiresAt: string;
}

/** A link to a new account, or to a new password for one that is there. */
export async function invite(school: SchoolTx, body: unknown): Promise<Made> {
  assertPlain(body);
  const asked = await inviteShape.validate(body, { abortEarly: false });
  const { accountId } = asked;
  const role = await roleOfLink(school, asked);
  if (!maySetRole(school.role!, role, role)) throw notYours();
  return makeInvitation(school, { role, accountId, pilotId: null });
}

/** An own sign-in for a pilot. @throws Problem 409 where there is one already */
export async function invitePilot(school: SchoolTx, pilotId: string): Promise<Made> {
  const pilot = (await school.tx('pilots').where({ id: pilotId }).first('forgotten_at')) as
    { forgottenAt: string | null } | undefined;
  if (!pilot) throw notFound('pilot');
  if (pilot.forgottenAt !== null) throw conflict('This pilot is forgotten.');
  await assertNoneOf(school, pilotId);
  return makeInvitation(school, { role: 'pilot', accountId: null, pilotId });
}

interface ToInvite {
  readonly role: Role;
  readonly accountId: string | null;
  readonly pilotId: string | null;
}

async function makeInvitation(school: SchoolTx, { role, accountId, pilotId }: ToInvite): Promise<Made> {
  if (await isSandbox(school)) throw conflict('A sandbox is yours alone: invite people in your own school.');
  const { tx, schoolId } = school;
  const [id, token] = [uuid(), randomBytes(24).toString('base64url')];
  const expiresAt = new Date(Date.now() + OPEN_DAYS * MS_PER_DAY).toISOString();
  await tx('invitations').insert({
    schoolId,
    id,
    role,
    accountId,
    pilotId,
    tokenHash: hashOfToken(token),
    madeBy: school.accountId,
    expiresAt,
  });
  await recordEvent(school, {
    action: accountId ? 'password-link-made' : 'invited',
    subject: 'account',
    subjectId: accountId ?? id,
    ...(pilotId ? { pilotId } : {}),
    data: { role },
  });
  return { id, token, expiresAt };
}

/** Takes a link back that is still out. */
export async function endInvitation(school: SchoolTx, id: string): Promise<{ readonly id: string }> {
  const { tx } = school;
  const ended = await tx('invitations').where({ id }).whereNull('used_at').update({ endedAt: tx.fn.now() });
  if (ended === 0) throw notFound('open invitation');
  await recordEvent(school, { action: 'invitation-ended', subject: 'account', subjectId: id });
  return { id };
}

interface Found extends Invited {
  readonly id: string;
  readonly schoolId: string;
  readonly accountId: string | null;
  readonly madeBy: string;
  readonly pilotId: string | null;
}

async function foundBy(db: Knex, ctx: Context): Promise<Found> {
  const token = /^Bearer ([\w-]{20,64})$/.exec(ctx.get('Authorization'))?.[1];
  const found = token
    ? ((await db.raw('select * from invitation_by_token(?)', [hashOfToken(token)])) as { rows: Found[] })
        .rows[0]
    : undefined;
  if (!found)
    throw new Problem(404, 'Not found', 'This invitation leads nowhere any more: ask for a new one.');
  return found;
}

/** What an invitation leads to. */
export const invited =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const { schoolName, invitedBy, role, email, pilotName } = await foundBy(db, ctx);
    ctx.body = { schoolName, invitedBy, role, email, pilotName } satisfies Invited;
  };

const joinShape = signInShape.shape({ name: line('name', 80) }).noUnknown();
const renewShape = signInShape.pick(['password']).noUnknown();

/** A new password, by a link: whoever was signed in elsewhere is not any more. */
async function renew(db: Knex, ctx: Context, found: Found & { readonly accountId: string }): Promise<void> {
  const given = await renewShape.validate(bodyOf(ctx), { abortEarly: false });
  assertStrong(given.password, [found.email!, found.schoolName]);
  const passwordHash = await hashPassword(given.password);
  await inSchool(db, found, async (school) => {
    await use(school, found.id);
    await school.tx('accounts').where({ id: found.accountId }).update({ passwordHash });
    await endSessionsOf(school, { accountId: found.accountId });
    // Whoever lost the phone with the codes has no other way back.
    await dropSecondFactor(school, found.accountId);
    await recordEvent(school, {
      action: 'password-set',
      subject: 'account',
      subjectId: found.accountId,
    });
  });
  await letInNew(db, ctx, { ...found, email: found.email! });
}

/** An invitation is used once, by whoever is first. */
async function use({ tx }: SchoolTx, id: string): Promise<void> {
  const used = await tx('invitations').where({ id }).whereNull('used_at').update({ usedAt: tx.fn.now() });
  if (used === 0) throw conflict('This invitation was used a moment ago: sign in, or ask for a new one.');
}

async function strongPassword(password: string, about: readonly string[]): Promise<string> {
  assertStrong(password, about);
  return hashPassword(password);
}

/**
 * The password of whoever is at another school already: it is asked for, so that nobody joins in another's name, and stays
 * the one for both. Wrong ones count as when signing in.
 */
async function passwordElsewhere(
  db: Knex,
  ctx: Context,
  accounts: readonly PersonsAccount[],
  { email, password }: { readonly email: string; readonly password: string },
): Promise<string> {
  const limits = new SignInLimits(db);
  const trying = { email, source: ctx.ip, device: null };
  await limits.count(trying, (seconds) => ctx.set('Retry-After', String(seconds)));
  const [right] = await openedBy(password, accounts);
  if (!right)
    throw badField(
      'password',
      'Password is not the one of this address: it signs in at another school already. Type the password from there.',
    );
  await limits.wasRight(trying);
  return right.passwordHash;
}

async function joinNew(db: Knex, ctx: Context, found: Found): Promise<void> {
  const {
    name: called,
    email,
    password: given,
  } = await joinShape.validate(bodyOf(ctx), { abortEarly: false });
  // A pilot is called what the record has.
  const name = found.pilotName ?? called;
  const elsewhere = (await accountsOf(db, email)).filter(({ schoolId }) => schoolId !== found.schoolId);
  const passwordHash =
    elsewhere.length > 0
      ? await passwordElsewhere(db, ctx, elsewhere, { email, password: given })
      : await strongPassword(given, [name, email, found.schoolName]);
  const accountId = uuid();
  const who = { schoolId: found.schoolId, accountId };
  await inSchool(db, who, async (school) => {
    if (await school.tx('accounts').where({ email }).first('id'))
      throw badField('email', 'E-mail has an account here already: use another address, or sign in.');
    await use(school, found.id);
    await assertNoneOf(school, found.pilotId);
    await school.tx('accounts').insert({
      ...{ schoolId: found.schoolId, id: accountId, name, email, passwordHash },
      ...{ role: found.role, pilotId: found.pilotId },
    });
    await recordEvent(school, {
      action: 'joined',
      subject: 'account',
      subjectId: accountId,
      data: { role: found.role, invitedBy: found.madeBy },
    });
  });
  await letInNew(db, ctx, { ...who, email });
}

/** Makes the account that an invitation is for, or sets the new password, and signs in. */
export const join =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    assertPlain(bodyOf(ctx));
    const found = await foundBy(db, ctx);
    const { accountId } = found;
    await (accountId === null ? joinNew(db, ctx, found) : renew(db, ctx, { ...found, accountId }));
    ctx.body = { schoolName: found.schoolName };
  };
