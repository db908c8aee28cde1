import { randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { inSchool, type SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { hashOfToken, type LinkHolder } from '../facts/private-link';
import { Problem } from '../problem/problem';
import { whoAsks } from './session';

/**
 * A private link to a pilot's own page: no account, an end, and it can be taken back. The token is told once
 * and kept only as a hash. It comes in a header, so that it stands in no log and no address that is passed on.
 */

interface Found extends LinkHolder {
  readonly schoolId: string;
  /** It belongs to the first device that opens it; null: none has. */
  readonly binds: boolean;
  readonly deviceHash: Buffer | null;
}

/** Names a browser to the links that belong to it; it opens nothing by itself. */
const DEVICE = 'skelby_link_device';
const DEVICE_MS = 400 * 86_400_000;
/** Use is seen to so many minutes: not every reading is a write. */
const SEEN_TO_MINUTES = 5;

/** @throws Problem 403 for a link that belongs to another device */
function deviceOf(ctx: Context, { deviceHash }: Found): Buffer {
  const name = ctx.secure ? `__Host-${DEVICE}` : DEVICE;
  const there = ctx.cookies.get(name);
  if (deviceHash !== null && (!there || !hashOfToken(there).equals(deviceHash)))
    throw new Problem(
      403,
      'Another device',
      'This link belongs to the device that opened it first: ask your trainer for one for this device.',
    );
  const token = there ?? randomBytes(24).toString('base64url');
  if (!there)
    ctx.cookies.set(name, token, {
      httpOnly: true,
      sameSite: 'lax',
      secure: ctx.secure,
      expires: new Date(Date.now() + DEVICE_MS),
    });
  return hashOfToken(token);
}

type PilotsWork<T> = (school: SchoolTx, holder: LinkHolder) => Promise<T>;

/**
 * Works in the school of a pilot who is signed in. As with a link, nobody is named as having entered it: it is the pilot's
 * own doing, and a rep that a trainer counted is another thing.
 */
async function bySignIn<T>(db: Knex, ctx: Context, work: PilotsWork<T>): Promise<T> {
  const { schoolId, pilotId, accountId } = await whoAsks(db, ctx);
  if (pilotId === null)
    throw new Problem(403, 'Not yours to do', 'This is the page of a pilot: open it by a link of theirs.');
  // What one pilot's phone kept is not taken for the one who signed in on it next.
  if (![accountId, ''].includes(ctx.get('X-Account')))
    throw new Problem(
      401,
      'Not signed in',
      'Somebody else is signed in here: sign in with the account it was entered with.',
    );
  return inSchool(db, { schoolId, accountId: null }, (school) =>
    work(school, { pilotId, linkId: accountId, tellsWhen: true }),
  );
}

/** Works in the school of a pilot: of whoever holds the link that came with a request, or is signed in as one. */
export async function asPilot<T>(db: Knex, ctx: Context, work: PilotsWork<T>): Promise<T> {
  if (ctx.get('Authorization') === '') return bySignIn(db, ctx, work);
  const token = /^Bearer ([\w-]{20,64})$/.exec(ctx.get('Authorization'))?.[1];
  const found = token
    ? ((await db.raw('select * from pilot_by_token(?)', [hashOfToken(token)])) as { rows: Found[] }).rows[0]
    : undefined;
  if (!found)
    throw new Problem(404, 'Not found', 'This link leads nowhere any more: ask your trainer for a new one.');
  ctx.state['schoolOfLink'] = found.schoolId;
  const device = found.binds ? deviceOf(ctx, found) : null;
  return inSchool(db, { schoolId: found.schoolId, accountId: null }, async (school) => {
    const { tx } = school;
    const isNewUse = await tx('pilot_links')
      .where({ id: found.linkId })
      .whereRaw(`(last_used_at is null or last_used_at < now() - interval '${SEEN_TO_MINUTES} minutes')`)
      .update({ lastUsedAt: tx.fn.now() });
    if (isNewUse > 0)
      await recordEvent(school, {
        action: 'opened',
        subject: 'link',
        subjectId: found.linkId,
        pilotId: found.pilotId,
      });
    if (device !== null && found.deviceHash === null) {
      // Two that open it at once: the second has to ask again, and is told.
      const bound = await tx('pilot_links')
        .where({ id: found.linkId })
        .whereNull('device_hash')
        .update({ deviceHash: device });
      if (bound === 0) throw new Problem(403, 'Another device', 'Another device opened this link just now.');
    }
    return work(school, found);
  });
}
