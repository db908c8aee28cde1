import { maySetRole, type Role, ROLES } from '@skelby/core/people/roles';
import { choice, yesNo } from '@skelby/core/schemas/fields';
import { object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { assertPlain } from '../problem/plain';
import { endSessionsOf } from './own-account';
import { conflict, notFound, Problem } from '../problem/problem';

const accountShape = object({ role: choice('role', ROLES), ended: yesNo('ended') }).noUnknown();

interface AccountRow {
  readonly role: Role;
  readonly endedAt: string | null;
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
  const before = (await tx('accounts').where({ id }).forUpdate().first('role', 'ended_at')) as
    AccountRow | undefined;
  if (!before) throw notFound('account');
  if (!maySetRole(school.role!, before.role, role))
    throw new Problem(
      403,
      'Not yours to do',
      'Only the owner of the school makes or changes an owner: ask them.',
    );
  if (before.role === 'owner' && (role !== 'owner' || ended)) await assertAnOwnerStays(school, id);
  const wasEnded = before.endedAt !== null;
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
