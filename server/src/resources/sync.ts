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

/** Carries out one command behind a savepoint, with the very handler that takes it when it comes alone. */
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

/** What a phone did without signal, in order, each command once, however often it is sent. */
export function syncRoutes(router: Router, inSchool: InTheirSchool): void {
  router.post('/sync', inSchool(async (school, ctx): Promise<BatchAnswer> => {
    const given = await batchShape.validate(bodyOf(ctx), { abortEarly: false });
    const { commands, aheadMs } = putClockRight(given, Date.now());
    // The same outbox from two places at once: the second waits for the first, and then finds its commands done.
    if (commands.length > 0) await school.tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`sync ${school.schoolId}`]);
    const batch: SchoolTx = { ...school, phone: given.phone, putOff: { weaknesses: new Set(), drills: new Map() } };
    const before = new Set(await school.tx('commands').whereIn('id', commands.map((command) => command.key)).pluck('id') as string[]);
    const done = new Map<string, Command>();
    const results: CommandResult[] = [];
    for (const command of commands) {
      const { key } = command;
      const result = before.has(key) || done.has(key) ? { key, done: true as const } : await resultOf(router, batch, command);
      if (result.done && !before.has(key)) done.set(key, command);
      results.push(result);
    }
    await refreshPutOff(batch);
    if (done.size > 0) await school.tx('commands').insert(Array.from(done.values(), ({ key, path }) => ({ schoolId: school.schoolId, id: key, accountId: school.accountId, path })));
    return { results, clockAheadS: Math.round(aheadMs / 1000) };
  }));
}
