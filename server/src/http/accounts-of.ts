import { randomBytes } from 'node:crypto';
import { verify } from '@node-rs/argon2';
import type { Knex } from 'knex';
import { hashPassword } from '../db/password';

/** An account of a person at one school. */
export interface PersonsAccount {
  readonly schoolId: string;
  readonly schoolName: string;
  readonly accountId: string;
  readonly name: string;
  readonly passwordHash: string;
}

/** Verified when no account has the address, so that the answer takes as long either way. */
const decoy = hashPassword(randomBytes(16).toString('hex'));

/** The accounts that an address signs in with, by the name of their school. */
export async function accountsOf(db: Knex, email: string): Promise<readonly PersonsAccount[]> {
  const { rows } = (await db.raw('select * from accounts_by_email(?)', [email])) as {
    rows: PersonsAccount[];
  };
  return rows;
}

/** Those of them that a password opens. Schools that a person has one password for have one hash of it. */
export async function openedBy(
  password: string,
  accounts: readonly PersonsAccount[],
): Promise<readonly PersonsAccount[]> {
  if (accounts.length === 0) await verify(await decoy, password);
  const opens = new Map<string, boolean>();
  for (const { passwordHash } of accounts)
    if (!opens.has(passwordHash)) opens.set(passwordHash, await verify(passwordHash, password));
  return accounts.filter(({ passwordHash }) => opens.get(passwordHash));
}
