import type Router from '@koa/router';
import { batchShape } from '@skelby/core/shapes/batch';
import type { BatchAnswer, Command, CommandResult } from '@skelby/core/sync/batch';
import { putClockRight } from '@skelby/core/sync/clock';
import type { Context } from 'koa';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import type { InTheirSchool } from '../http/in-their-school';
import { notFound, problemOf } from '../http/problems';
import { refreshPutOff } from './weakness-facts';

const REP = /^\/reps\//;
/** A pilot's own telling comes by their link, and never in a trainer's batch. */
const OF_A_TRAINER = /^\/(?!own\/)/;
const PREFIX = '/api';

/** Carries out one command with the very handler that takes it when it comes alone. */
async function carryOut(router: Router, batch: SchoolTx, command: Command): Promise<void> {
  const address = PREFIX + command.path;
  const layer = router.match(address, 'PUT').pathAndMethod.filter((each) => each.methods.includes('PUT')).at(-1);
  if (!layer || !OF_A_TRAINER.test(command.path)) throw notFound('address');
  const params = layer.params(address, layer.captures(address));
  const ctx = { params, request: { body: command.body }, state: { batch } } as unknown as Context;
  await layer.stack.at(-1)!(ctx as never, () => Promise.resolve());
}

async function resultOf(router: Router, batch: SchoolTx, command: Command): Promise<CommandResult> {
  const { key } = command;
  // Reps of one batch are worked out together; whatever else comes has to see where they have led.
  if (!REP.test(command.path)) await refreshPutOff(batch);
  try {
    await carryOut(router, batch, command);
  } catch (error) {
    const problem = problemOf(error);
    // Not the command's fault: the whole batch is taken back, and the phone sends it again.
    if (!problem) throw error;
    return { key, done: false, status: problem.status, detail: problem.detail, ...problem.more };
  }
  return { key, done: true };
}

/** Takes everything back to where the batch began. */
class OneRefused extends Error {}

/**
 * Carries out the commands that are not done yet, in order.
 * @param apart each behind a savepoint of its own, so that one refused takes nothing else back; without, one refused ends it
 * @throws OneRefused
 */
async function carryOutAll(router: Router, batch: SchoolTx, commands: readonly Command[], before: ReadonlySet<string>, apart: boolean): Promise<CommandResult[]> {
  const within: SchoolTx = { ...batch, apart, putOff: { weaknesses: new Set(), drills: new Map() } };
  const done = new Map<string, Command>();
  const results: CommandResult[] = [];
  for (const command of commands) {
    const { key } = command;
    const result = before.has(key) || done.has(key) ? { key, done: true as const } : await resultOf(router, within, command);
    if (!result.done && !apart) throw new OneRefused();
    if (result.done && !before.has(key)) done.set(key, command);
    results.push(result);
  }
  await refreshPutOff(within);
  if (done.size > 0) await batch.tx('commands').insert(Array.from(done.values(), ({ key, path }) => ({ schoolId: batch.schoolId, id: key, accountId: batch.accountId, path })));
  return results;
}

/** What a phone did without signal, in order, each command once, however often it is sent. */
export function syncRoutes(router: Router, inSchool: InTheirSchool): void {
  router.post('/sync', inSchool(async (school, ctx): Promise<BatchAnswer> => {
    const given = await batchShape.validate(bodyOf(ctx), { abortEarly: false });
    const { commands, aheadMs } = putClockRight(given, Date.now());
    // The same outbox from two places at once: the second waits for the first, and then finds its commands done.
    if (commands.length > 0) await school.tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`sync ${school.schoolId}`]);
    const before = new Set(await school.tx('commands').whereIn('id', commands.map((command) => command.key)).pluck('id') as string[]);
    const batch: SchoolTx = { ...school, phone: given.phone };
    // Nearly always all of them go in, and one savepoint does. Where one is refused, all is taken back and done again, each behind its own.
    const together = await school.tx.transaction((tx) => carryOutAll(router, { ...batch, tx }, commands, before, false)).catch((error: unknown) => {
      if (error instanceof OneRefused) return null;
      throw error;
    });
    return { results: together ?? await carryOutAll(router, batch, commands, before, true), clockAheadS: Math.round(aheadMs / 1000) };
  }));
}
