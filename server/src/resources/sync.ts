import type Router from '@koa/router';
import { batchShape } from '@skelby/core/schemas/batch';
import type { BatchAnswer, Command, CommandResult } from '@skelby/core/sync/batch';
import { putClockRight } from '@skelby/core/sync/clock';
import type { Context } from 'koa';
import type { Logger } from 'pino';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import type { InTheirSchool } from '../http/in-their-school';
import { notFound, OUR_MISTAKE, passesByItself, type Problem, problemOf } from '../http/problems';
import { refreshDeferred } from './weakness-facts';

const REP = /^\/reps\//;
/** A pilot's own telling comes by their link, and never in a trainer's batch. */
const OF_A_TRAINER = /^\/(?!own\/)/;
const PREFIX = '/api';

/** Carries out one command with the very handler that takes it when it comes alone. */
async function carryOut(router: Router, batch: SchoolTx, command: Command): Promise<void> {
  const address = PREFIX + command.path;
  const layer = router
    .match(address, 'PUT')
    .pathAndMethod.filter((each) => each.methods.includes('PUT'))
    .at(-1);
  if (!layer || !OF_A_TRAINER.test(command.path)) throw notFound('address');
  const params = layer.params(address, layer.captures(address));
  const ctx = { params, request: { body: command.body }, state: { batch } } as unknown as Context;
  await layer.stack.at(-1)!(ctx as never, () => Promise.resolve());
}

const note = ({ tx, schoolId, accountId }: SchoolTx, done: readonly Command[]) =>
  done.length === 0
    ? undefined
    : tx('commands').insert(done.map(({ key, path }) => ({ schoolId, id: key, accountId, path })));

/** Those of the commands that are not done yet, each key once. */
const toDo = (commands: readonly Command[], before: ReadonlySet<string>): readonly Command[] => [
  ...new Map(
    commands.filter(({ key }) => !before.has(key)).map((command) => [command.key, command]),
  ).values(),
];

/**
 * Carries all of them out in order; weaknesses are worked out again once, at the end. Whatever goes wrong
 * takes all of it back.
 */
async function carryOutTogether(
  router: Router,
  batch: SchoolTx,
  commands: readonly Command[],
): Promise<void> {
  const within: SchoolTx = { ...batch, deferred: { weaknesses: new Set(), drills: new Map() } };
  for (const command of commands) {
    // Reps of one batch are worked out together; whatever else comes has to see where they have led.
    if (!REP.test(command.path)) await refreshDeferred(within);
    await carryOut(router, within, command);
  }
  await refreshDeferred(within);
  await note(batch, commands);
}

/**
 * What a command that was not carried out is answered. A fault of ours is answered for that command too:
 * thrown, it would hold up all that come after it.
 */
async function refusalOf(
  { tx }: SchoolTx,
  error: unknown,
  tellOurs: (error: unknown) => void,
): Promise<Problem> {
  if (passesByItself(error)) throw error;
  const problem = problemOf(error);
  if (problem) return problem;
  // Where the database itself is gone this throws, and the phone sends the batch again.
  await tx.raw('select 1');
  tellOurs(error);
  return OUR_MISTAKE;
}

/**
 * Carries each of them out behind a savepoint of its own, worked out to its end: one that is refused,
 * whatever for, takes nothing else back.
 */
async function carryOutApart(
  router: Router,
  batch: SchoolTx,
  commands: readonly Command[],
  tellOurs: (command: Command, error: unknown) => void,
): Promise<ReadonlyMap<string, Problem>> {
  const refused = new Map<string, Problem>();
  for (const command of commands) {
    try {
      await batch.tx.transaction(async (tx) => {
        await carryOut(router, { ...batch, tx }, command);
        await note({ ...batch, tx }, [command]);
      });
    } catch (error) {
      refused.set(command.key, await refusalOf(batch, error, (ours) => tellOurs(command, ours)));
    }
  }
  return refused;
}

/** What a phone did without signal, in order, each command once, however often it is sent. */
export function syncRoutes(router: Router, inSchool: InTheirSchool, log: Logger): void {
  router.post(
    '/sync',
    inSchool(async (school, ctx): Promise<BatchAnswer> => {
      const given = await batchShape.validate(bodyOf(ctx), { abortEarly: false });
      const { commands, aheadMs } = putClockRight(given, Date.now());
      // The same outbox from two places at once: the second waits for the first, and then finds its commands
      // done.
      if (commands.length > 0)
        await school.tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [
          `sync ${school.schoolId}`,
        ]);
      const before = new Set(
        (await school
          .tx('commands')
          .whereIn(
            'id',
            commands.map((command) => command.key),
          )
          .pluck('id')) as string[],
      );
      const batch: SchoolTx = { ...school, phone: given.phone };
      // Nearly always all of them go in, and one savepoint does. Where one is refused, all is taken back and
      // done again, each behind its own.
      const wanted = toDo(commands, before);
      const tellOurs = (command: Command, error: unknown) =>
        log.error({ err: error, requestId: ctx.state['requestId'], command: command.path }, 'command failed');
      const refused = await school.tx
        .transaction((tx) => carryOutTogether(router, { ...batch, tx }, wanted))
        .then(
          () => new Map<string, Problem>(),
          (error: unknown) => {
            if (passesByItself(error)) throw error;
            return carryOutApart(router, batch, wanted, tellOurs);
          },
        );
      const results = commands.map(({ key }): CommandResult => {
        const problem = refused.get(key);
        return problem
          ? { key, done: false, status: problem.status, detail: problem.detail, ...problem.more }
          : { key, done: true };
      });
      return { results, clockAheadS: Math.round(aheadMs / 1000) };
    }),
  );
}
