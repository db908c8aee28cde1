import { DEFAULT_RULE } from '@skelby/core/clearance/clearing-rule';
import { addDays } from '@skelby/core/vocabulary/day';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { v7 as uuid } from 'uuid';
import { boolean, object } from 'yup';
import { inSchool, type SchoolTx, withinSchool } from '../db/in-school';
import { bodyOf } from '../http/body';
import { leaveSandbox, letIntoSandbox, whoAsks } from '../http/session';
import { assertMay } from '../problem/may';
import { assertPlain } from '../problem/plain';
import { conflict } from '../problem/problem';

/** Pilots in it: enough for each state of the loop, few enough to be written in a moment. */
const PILOTS = 3;

export const isSandbox = async ({ tx }: SchoolTx): Promise<boolean> =>
  ((await tx('schools').first('sandbox_of')) as { sandboxOf: string | null }).sandboxOf !== null;

const openShape = object({ anew: boolean().default(false) }).noUnknown();

interface Sandbox {
  readonly schoolId: string;
  readonly accountId: string;
  readonly made: boolean;
}

/** Writes a season of made-up flying and teaching, up to today. */
async function fill(tx: Knex.Transaction, sandbox: Sandbox): Promise<void> {
  // Whoever never opens one need not load what it is made of.
  const [{ Season, SEASON_DAYS }, { SeasonBook }] = await Promise.all([
    import('../demo/season'),
    import('../demo/season-book'),
  ]);
  const today = new Date().toISOString().slice(0, 10);
  await withinSchool(tx, sandbox, async (school) => {
    await school.tx('clearing_rules').insert({
      schoolId: sandbox.schoolId,
      id: uuid(),
      inForceFrom: `${addDays(today, -SEASON_DAYS - 1)}T00:00:00Z`,
      ...DEFAULT_RULE,
    });
    await new Season(new SeasonBook(school, today, 'own'), PILOTS).write();
    await school.tx.raw('select settle_sandbox()');
  });
}

/**
 * Opens the sandbox of whoever asks, begun anew where they want it.
 * @throws Problem 409 in a sandbox
 */
export const openSandbox =
  (db: Knex, work: Knex) =>
  async (ctx: Context): Promise<void> => {
    const who = await whoAsks(db, ctx);
    assertMay(who, 'read');
    assertPlain(bodyOf(ctx));
    const { anew } = await openShape.validate(bodyOf(ctx), { abortEarly: false });
    const sandbox = await inSchool(work, who, async (school) => {
      if (await isSandbox(school)) throw conflict('You are in a sandbox: go back to your school first.');
      const { rows } = (await school.tx.raw('select * from open_sandbox(?, ?, ?, ?)', [
        who.accountId,
        uuid(),
        uuid(),
        anew,
      ])) as { rows: Sandbox[] };
      const [opened] = rows as [Sandbox];
      if (opened.made) await fill(school.tx, opened);
      return opened;
    });
    await letIntoSandbox(db, ctx, sandbox);
    ctx.body = { made: sandbox.made };
  };

/**
 * Goes back to the own school.
 * @throws Problem 409 outside of a sandbox, 401 where the own session is over
 */
export const leave =
  (db: Knex) =>
  async (ctx: Context): Promise<void> => {
    const who = await whoAsks(db, ctx);
    if (!(await inSchool(db, who, isSandbox))) throw conflict('You are in your own school already.');
    await leaveSandbox(db, ctx, who);
    ctx.status = 204;
  };
