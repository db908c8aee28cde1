import { createHash, randomBytes } from 'node:crypto';
import type Router from '@koa/router';
import { isCauseId } from '@skelby/core/causes/causes';
import { day, instant, text } from '@skelby/core/schemas/fields';
import { repShape } from '@skelby/core/schemas/loop';
import type { SessionFields } from '@skelby/core/schemas/session';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { v7 as uuid } from 'uuid';
import { number, object, string } from 'yup';
import { inSchool, NO_SCHOOL, type SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { notFound, Problem } from '../http/problems';
import { recordEvent } from './events';
import { logOccurrence } from './occurrences';
import { putRep } from './reps';

/**
 * A private link to a pilot's own page: no account, an end, and it can be taken back. The token is told once
 * and kept only as a hash.
 */

const LONGEST_DAYS = 90;
const MS_PER_DAY = 86_400_000;
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

const linkShape = object({
  days: number()
    .strict()
    .integer()
    .min(1, 'Days is below 1: give a number from 1 to 90.')
    .max(LONGEST_DAYS, 'Days is above 90: give a number from 1 to 90.')
    .defined('Days is missing: give a number from 1 to 90.'),
}).noUnknown();

async function makeLink(
  school: SchoolTx,
  pilotId: string,
  body: unknown,
): Promise<{ id: string; token: string; expiresAt: string }> {
  const { days } = await linkShape.validate(body, { abortEarly: false });
  const { tx, schoolId, accountId } = school;
  if (!(await tx('pilots').where({ id: pilotId }).first('id'))) throw notFound('pilot');
  const [id, token] = [uuid(), randomBytes(24).toString('base64url')];
  const expiresAt = new Date(Date.now() + days * MS_PER_DAY).toISOString();
  await tx('pilot_links').insert({ schoolId, id, pilotId, tokenHash: hashOf(token), expiresAt, accountId });
  await recordEvent(school, {
    action: 'added',
    subject: 'link',
    subjectId: id,
    pilotId,
    data: { expiresAt },
  });
  return { id, token, expiresAt };
}

async function revokeLink(school: SchoolTx, id: string): Promise<{ id: string }> {
  const rows = (await school
    .tx('pilot_links')
    .where({ id })
    .whereNull('revoked_at')
    .update({ revokedAt: school.tx.fn.now() })
    .returning('pilot_id')) as { pilotId: string }[];
  if (rows[0])
    await recordEvent(school, {
      action: 'revoked',
      subject: 'link',
      subjectId: id,
      pilotId: rows[0].pilotId,
    });
  return { id };
}

/** Links of a pilot that still lead somewhere; never their tokens. */
export const linksOf = ({ tx }: SchoolTx, pilotId: string): Promise<unknown> =>
  tx('pilot_links')
    .where({ pilotId })
    .whereNull('revoked_at')
    .where('expires_at', '>', tx.fn.now())
    .orderBy('made_at', 'desc')
    .select('id', 'made_at', 'expires_at') as unknown as Promise<unknown>;

export function linkRoutes(router: Router, inTheirs: InTheirSchool): void {
  router.post(
    '/pilots/:id/links',
    inTheirs((school, ctx) => makeLink(school, keyIn(ctx, 'id', 'pilot'), bodyOf(ctx))),
  );
  router.put(
    '/links/:id/revoked',
    inTheirs((school, ctx) => revokeLink(school, keyIn(ctx, 'id', 'link'))),
  );
}

/** What a pilot sees of oneself, and nobody else. */
async function ownPage(school: SchoolTx, pilotId: string) {
  const { tx } = school;
  const pilot = (await tx('pilots').where({ id: pilotId }).first('name', 'stick_layout', 'mode')) as Record<
    string,
    unknown
  >;
  const { name: schoolName } = (await tx('schools').first('name')) as { name: string };
  const { rows: weaknesses } = (await tx.raw(
    `
    select w.cause_id, w.state, w.rungs, w.check_from, w.check_passed, (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id order by made_at desc limit 1) as drill_ids
      from weaknesses w where w.pilot_id = ? and w.state in ('open', 'drilling', 'ready-for-check', 'watch') order by w.opened_at`,
    [pilotId],
  )) as { rows: unknown[] };
  const { rows: flown } = (await tx.raw(
    'select day, count(*) as reps, count(*) filter (where met) as met from reps where pilot_id = ? and taken_back_at is null group by day order by day desc limit 14',
    [pilotId],
  )) as { rows: unknown[] };
  const sessions = (await tx('training_sessions')
    .where('day', '>=', tx.raw('current_date - 1'))
    .orderBy('day')
    .pluck('content')) as SessionFields[];
  const next = sessions.find(
    (each) => each.state !== 'done' && each.packs.some((pack) => pack.pilotId === pilotId),
  );
  const site = next?.siteId
    ? ((await tx('sites').where({ id: next.siteId }).first('name')) as { name: string })
    : null;
  return {
    pilot,
    schoolName,
    weaknesses,
    flown,
    session: next
      ? {
          day: next.day,
          startsAt: next.startsAt,
          siteName: site?.name ?? null,
          blocks: next.packs
            .filter((pack) => pack.pilotId === pilotId)
            .flatMap((pack) =>
              pack.blocks.map(({ drillId, side, purpose, reps }) => ({ drillId, side, purpose, reps })),
            ),
        }
      : null,
  };
}

const nearMissShape = object({
  causeId: string()
    .strict()
    .defined('What it was like is missing: pick one.')
    .test('cause', 'What it was like is not on the list: pick one.', (value) => isCauseId(value ?? '')),
  note: text('What happened', 800).min(3, 'What happened is too short: say it in a few words.'),
  happenedAt: instant('Time'),
  day: day('Day'),
}).noUnknown();

/** What a pilot flies alone is practice on the simulator: which weakness it belongs to, the plans say. */
const ownRepShape = repShape.omit(['weaknessId', 'purpose', 'flownOn', 'level', 'sessionId']);

async function putOwnRep(school: SchoolTx, pilotId: string, id: string, body: unknown): Promise<unknown> {
  const fields = await ownRepShape.validate(body, { abortEarly: false });
  const {
    rows: [weakness],
  } = (await school.tx.raw(
    `
    select w.id from weaknesses w
     where w.pilot_id = ? and w.state in ('open', 'drilling', 'ready-for-check', 'watch')
       and ? = any (select unnest(drill_ids) from (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id order by made_at desc limit 1) newest)
     order by w.opened_at desc limit 1`,
    [pilotId, fields.drillId],
  )) as { rows: { id: string }[] };
  if (!weakness)
    throw new Problem(
      409,
      'In no plan',
      'This drill is in none of your plans: fly it as you like, nothing is recorded.',
    );
  return putRep(school, id, {
    ...fields,
    weaknessId: weakness.id,
    purpose: 'practice',
    flownOn: 'simulator',
    level: 0,
    sessionId: null,
  });
}

const PER_DAY = 20;
const REPS_PER_DAY = 300;

/**
 * The routes behind a pilot's link: the token comes in a header, so that it stands in no log and no address
 * that is passed on.
 */
export function ownRoutes(router: Router, db: Knex): void {
  const told = new RateLimiterMemory({ points: PER_DAY, duration: 86_400 });
  const flown = new RateLimiterMemory({ points: REPS_PER_DAY, duration: 86_400 });
  const asPilot = async <T>(
    ctx: Context,
    work: (school: SchoolTx, pilotId: string, linkId: string) => Promise<T>,
  ): Promise<T> => {
    const token = /^Bearer ([\w-]{20,64})$/.exec(ctx.get('Authorization'))?.[1];
    const found = token
      ? await inSchool(
          db,
          { schoolId: NO_SCHOOL, accountId: null },
          async ({ tx }) =>
            (
              (await tx.raw('select * from pilot_by_token(?)', [hashOf(token)])) as {
                rows: { schoolId: string; pilotId: string; linkId: string }[];
              }
            ).rows[0],
        )
      : undefined;
    if (!found)
      throw new Problem(
        404,
        'Not found',
        'This link leads nowhere any more: ask your trainer for a new one.',
      );
    return inSchool(db, { schoolId: found.schoolId, accountId: null }, (school) =>
      work(school, found.pilotId, found.linkId),
    );
  };
  router.get('/own', async (ctx) => {
    ctx.body = await asPilot(ctx, ownPage);
  });
  router.put('/own/reps/:id', async (ctx) => {
    ctx.body = await asPilot(ctx, async (school, pilotId, linkId) => {
      try {
        await flown.consume(linkId);
      } catch {
        throw new Problem(
          429,
          'Too many',
          `More than ${REPS_PER_DAY} reps in a day: rest, and come back tomorrow.`,
        );
      }
      return putOwnRep(school, pilotId, keyIn(ctx, 'id', 'rep'), bodyOf(ctx));
    });
  });
  router.put('/own/near-miss/:id', async (ctx) => {
    ctx.body = await asPilot(ctx, async (school, pilotId, linkId) => {
      const fields = await nearMissShape.validate(bodyOf(ctx), { abortEarly: false });
      const id = keyIn(ctx, 'id', 'occurrence');
      const there = (await school.tx('occurrences').where({ id }).first('pilot_id')) as
        { pilotId: string } | undefined;
      if (there) return { id };
      try {
        await told.consume(linkId);
      } catch {
        throw new Problem(429, 'Too many', `More than ${PER_DAY} in a day: speak to your trainer.`);
      }
      await logOccurrence(school, id, {
        ...fields,
        pilotId,
        kind: 'near-miss',
        note: `From the pilot: ${fields.note}`,
        craftId: null,
        siteId: null,
        windMps: null,
      });
      return { id };
    });
  });
}
