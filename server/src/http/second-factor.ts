import { createHash, randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { Secret, TOTP } from 'otpauth';
import { badField, Problem } from '../problem/problem';

/** A second factor by time: six figures that change every half minute (RFC 6238), or a spare code, each once. */

const STEP_S = 30;
const SPARE = 8;

export interface OfAccount {
  readonly schoolId: string;
  readonly accountId: string;
}

export interface SecondFactorState {
  /** Base32; null: none. */
  readonly secret: string | null;
  /** Null: not asked for when signing in. */
  readonly since: string | null;
  /** Spare codes that are left. */
  readonly spare: number;
}

/** @param label whose it is, shown by the app that makes the codes */
export const totpOf = (secret: string, label: string): TOTP =>
  new TOTP({ issuer: 'Skelby', label, secret: Secret.fromBase32(secret), period: STEP_S });

export const newSecret = (): string => new Secret({ size: 20 }).base32;

/** Spare codes, told once, and what is kept of them. */
export function newSpareCodes(): { readonly codes: readonly string[]; readonly hashes: readonly Buffer[] } {
  const codes = Array.from({ length: SPARE }, () => {
    const text = randomBytes(5).toString('hex');
    return `${text.slice(0, 5)}-${text.slice(5)}`;
  });
  return { codes, hashes: codes.map(spareHash) };
}

const spareHash = (code: string): Buffer =>
  createHash('sha256')
    .update(code.toLowerCase().replaceAll(/[^0-9a-z]/g, ''))
    .digest();

export async function secondFactorOf(
  db: Knex,
  { schoolId, accountId }: OfAccount,
): Promise<SecondFactorState> {
  const { rows } = (await db.raw('select * from second_factor_of(?, ?)', [schoolId, accountId])) as {
    rows: SecondFactorState[];
  };
  return rows[0] ?? { secret: null, since: null, spare: 0 };
}

/** Whether a code is right and was not given before; it is spent by asking. One step early or late is right too. */
export async function spendsCode(
  db: Knex,
  { schoolId, accountId }: OfAccount,
  { secret, code, at = Date.now() }: { readonly secret: string; readonly code: string; readonly at?: number },
): Promise<boolean> {
  const figures = code.replaceAll(/\s/g, '');
  const delta = totpOf(secret, '').validate({ token: figures, timestamp: at, window: 1 });
  const [spend, value] =
    delta === null
      ? (['spend_spare_code', spareHash(code)] as const)
      : (['spend_second_step', Math.floor(at / 1000 / STEP_S) + delta] as const);
  const { rows } = (await db.raw(`select ${spend}(?, ?, ?) as spent`, [schoolId, accountId, value])) as {
    rows: { spent: boolean }[];
  };
  return rows[0]!.spent;
}

/**
 * Passes whoever has no second factor, and whoever gives its code.
 * @throws Problem 401 that asks for the code where none was given; 422 of the field `code` for a wrong one
 */
export async function assertSecondFactor(
  db: Knex,
  account: OfAccount,
  code: string | undefined,
): Promise<void> {
  const { secret, since } = await secondFactorOf(db, account);
  if (secret === null || since === null) return;
  if (!code)
    throw new Problem(
      401,
      'One step more',
      'Type the six figures that your code app shows for Skelby now, or one of your spare codes.',
      { more: { needs: 'code' } },
    );
  if (!(await spendsCode(db, account, { secret, code })))
    throw badField('code', 'Code is not right, or was used: type the one that is shown now, or a spare one.');
}
