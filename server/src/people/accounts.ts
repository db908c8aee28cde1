import { ACCOUNT_ROLES, maySetRole, type Role } from '@skelby/core/people/roles';
import { choice, yesNo } from '@skelby/core/schemas/fields';
import { object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { assertPlain } from '../problem/plain';
import { endSessionsOf } from './own-account';
import { conflict, notFound, Problem } from '../problem/problem';

const accountShape = object({ role: choice('role', ACCOUNT_ROLES), ended: yesNo('ended') }).noUnknown();

interface AccountRow {
  readonly role: Role;
  readonly endedAt: string | null;
  readonly pilotId: string | null;
}

/** A pilot signs in with one account. @throws Problem 409 where there is one already */
export async function assertNoneOf({ tx }: SchoolTx, pilotId: string | null): Promise<void> {
  if (pilotId === null) return;
  if (await tx('accounts').where({ pilotId }).whereNull('ended_at').first('id'))
    throw conflict('This pilot signs in already: end that account first.');
}

/** A school without an owner could never be given one again. */
async function assertAnOwnerStays({ tx }: SchoolTx, id: string): Promise<void> {
  const others = await tx('accounts')
    .where({ role: 'owner' })
    .whereNull('ended_at')
    .whereNot({ id })
    .forUpdate()
    .first('id');
  if (!others) throw conflict('This is the last owner of the school: make somebody else an owner first.');
}

const notToBeSet = (from: Role, to: Role) =>
  new Problem(
    403,
    'Not yours to do',
    from === 'pilot' || to === 'pilot'
      ? "A pilot's account stays one: invite them as what else they are to be."
      : 'Only the owner of the school makes or changes an owner: ask them.',
  );

/**
 * Sets what somebody may do, or ends their account: whoever is signed in with it is not any more, and what they
 * signed stays theirs.
 * @throws Problem 403 for more than one's own role gives, 409 for the last owner
 */
export async function setAccount(
  school: SchoolTx,
  id: string,
  body: unknown,
): Promise<{ readonly id: string }> {
  assertPlain(body);
  const { role, ended } = await accountShape.validate(body, { abortEarly: false });
  const { tx } = school;
  const before = (await tx('accounts').where({ id }).forUpdate().first('role', 'ended_at', 'pilot_id')) as
    AccountRow | undefined;
  if (!before) throw notFound('account');
  if (!maySetRole(school.role!, before.role, role)) throw notToBeSet(before.role, role);
  const wasEnded = before.endedAt !== null;
  if (before.role === 'owner' && (role !== 'owner' || ended)) await assertAnOwnerStays(school, id);
  if (wasEnded && !ended) await assertNoneOf(school, before.pilotId);
  if (role === before.role && ended === wasEnded) return { id };
  await tx('accounts')
    .where({ id })
    .update({ role, endedAt: ended ? (before.endedAt ?? tx.fn.now()) : null });
  if (ended) await endSessionsOf(school, { accountId: id });
  await recordEvent(school, {
    action: ended === wasEnded ? 'role-set' : ended ? 'account-ended' : 'account-opened',
    subject: 'account',
    subjectId: id,
    data: { role: [before.role, role] },
  });
  return { id };
}
