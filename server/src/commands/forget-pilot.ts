import { v7 as uuid } from 'uuid';
import { object, string } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { claimFiles } from '../flight-files/flight-files';
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

/** What a pilot signed in with goes too: nobody is let in by it, and the address names nobody. */
async function endOwnSignIn({ tx }: SchoolTx, pilotId: string): Promise<void> {
  const own = (await tx('accounts').where({ pilotId }).select('id')) as { id: string }[];
  for (const { id } of own) {
    await tx('sessions').where({ accountId: id }).update({ endedAt: tx.fn.now() });
    await tx('accounts')
      .where({ id })
      .update({
        ...{ name: '(forgotten)', email: `${id}@forgotten.invalid`, passwordHash: '(forgotten)' },
        endedAt: tx.raw('coalesce(ended_at, now())'),
      });
  }
  await tx('invitations').where({ pilotId }).whereNull('used_at').update({ endedAt: tx.fn.now() });
}

/** A hazard names a place, but may name who found it. */
async function forgetInHazards({ tx }: SchoolTx, name: string): Promise<void> {
  const sites = (await tx('sites').whereNot({ hazard: '' }).select('id', 'hazard')) as {
    id: string;
    hazard: string;
  }[];
  const escaped = name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  // As everywhere: letters and digits on either side make it another word.
  const named = new RegExp(`(?<![\\p{L}\\p{N}])${escaped}(?![\\p{L}\\p{N}])`, 'giu');
  for (const { id, hazard } of sites) {
    const without = hazard.replace(named, '(forgotten)');
    if (without !== hazard) await tx('sites').where({ id }).update({ hazard: without });
  }
}

/**
 * Forgets a pilot for good: the name and everything written freely of them, in every table. What was flown stays under a
 * number. The name has to be typed, since nothing brings it back but a backup.
 */
export async function forgetPilot(school: SchoolTx, pilotId: string, body: unknown): Promise<Forgotten> {
  const { tx, accountId } = school;
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
  await endOwnSignIn(school, pilotId);
  // Files on their way in, and the reports on them, may name anybody: whoever brings one in gives it again.
  await tx('imports').delete();
  // What recorders wrote down tells where somebody flew, and may hold their name.
  await claimFiles(school);
  await tx('flight_files').where({ pilotId }).delete();
  await forgetInHazards(school, pilot.name);
  await tx('course_facts').where({ pilotId }).whereNot({ reason: '' }).update({ reason: '(forgotten)' });
  const { rows } = (await tx.raw('select forget_pilot(?, ?, ?) as rows', [pilotId, accountId, uuid()])) as {
    rows: { rows: number }[];
  };
  return { name: (await nameNow())!.name, rows: rows[0]!.rows };
}
