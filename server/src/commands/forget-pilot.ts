import { v7 as uuid } from 'uuid';
import { object, string } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { assertPlain } from '../problem/plain';
import { badField, notFound } from '../problem/problem';

const forgetShape = object({
  name: string().strict().defined('Name is missing: type the name of the pilot who is to be forgotten.'),
}).noUnknown();

export interface Forgotten {
  /** What the pilot is called from now on. */
  readonly name: string;
  /** Rows in which something was blanked; 0: forgotten before. */
  readonly rows: number;
}

/**
 * Forgets a pilot for good: the name and everything written freely of them, in every table. What was flown stays under a
 * number. The name has to be typed, since nothing brings it back but a backup.
 */
export async function forgetPilot(
  { tx, accountId }: SchoolTx,
  pilotId: string,
  body: unknown,
): Promise<Forgotten> {
  assertPlain(body);
  const { name } = await forgetShape.validate(body, { abortEarly: false });
  const nameNow = async () =>
    (await tx('pilots').where({ id: pilotId }).first('name', 'forgotten_at')) as
      { name: string; forgottenAt: string | null } | undefined;
  const pilot = await nameNow();
  if (!pilot) throw notFound('pilot');
  if (pilot.forgottenAt !== null) return { name: pilot.name, rows: 0 };
  if (pilot.name.trim() !== name.trim())
    throw badField('name', 'Name is not that of this pilot: type it as it stands on the page.');
  // Files on their way in, and the reports on them, may name anybody: whoever brings one in gives it again.
  await tx('imports').delete();
  const { rows } = (await tx.raw('select forget_pilot(?, ?, ?) as rows', [pilotId, accountId, uuid()])) as {
    rows: { rows: number }[];
  };
  return { name: (await nameNow())!.name, rows: rows[0]!.rows };
}
