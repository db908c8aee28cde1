import { assertPlain } from '../problem/plain';
import { randomBytes } from 'node:crypto';
import { v7 as uuid } from 'uuid';
import { boolean, number, object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { hashOfToken } from '../facts/private-link';
import { notFound } from '../problem/problem';

const LONGEST_DAYS = 90;
const MS_PER_DAY = 86_400_000;

const linkShape = object({
  days: number()
    .strict()
    .integer()
    .min(1, 'Days is below 1: give a number from 1 to 90.')
    .max(LONGEST_DAYS, 'Days is above 90: give a number from 1 to 90.')
    .defined('Days is missing: give a number from 1 to 90.'),
  /** It belongs to the first device that opens it. */
  binds: boolean().strict().default(false),
  /** Hour and place of sessions may be told. */
  tellsWhen: boolean().strict().default(false),
}).noUnknown();

/** A new private link: its token is told once, and only its hash is kept. */
export async function makeLink(
  school: SchoolTx,
  pilotId: string,
  body: unknown,
): Promise<{ id: string; token: string; expiresAt: string }> {
  assertPlain(body);
  const { days, binds, tellsWhen } = await linkShape.validate(body, { abortEarly: false });
  const { tx, schoolId, accountId } = school;
  if (!(await tx('pilots').where({ id: pilotId }).first('id'))) throw notFound('pilot');
  const [id, token] = [uuid(), randomBytes(24).toString('base64url')];
  const expiresAt = new Date(Date.now() + days * MS_PER_DAY).toISOString();
  await tx('pilot_links').insert({
    schoolId,
    id,
    pilotId,
    tokenHash: hashOfToken(token),
    expiresAt,
    accountId,
    binds,
    tellsWhen,
  });
  await recordEvent(school, {
    action: 'added',
    subject: 'link',
    subjectId: id,
    pilotId,
    data: { expiresAt, binds, tellsWhen },
  });
  return { id, token, expiresAt };
}
