import { commandAt } from '@skelby/core/commands/commands';
import { recordRep } from '@skelby/core/commands/record-rep';
import { takeRepBack } from '@skelby/core/commands/take-rep-back';
import { batchShape } from '@skelby/core/schemas/batch';
import type { BatchAnswer, BatchCommand, CommandResult } from '@skelby/core/sync/batch';
import { putClockRight } from '@skelby/core/sync/clock';
import type { SchoolTx } from '../db/in-school';
import { assertPlain } from '../problem/plain';
import { notFound, OUR_MISTAKE, passesByItself, type Problem, problemOf } from '../problem/problem';
import { assertTheirs } from '../problem/theirs';
import { carryOut, isOfTrainer } from './carry-out';
import { refreshDeferred } from '../facts/refresh-weakness';

/** Carries out one command of a batch, by the same way as when it comes alone. */
async function carryOutOne(batch: SchoolTx, { path, body }: BatchCommand): Promise<void> {
  const found = commandAt(path);
  if (!found || !isOfTrainer(found.command)) throw notFound('address');
  await carryOut(batch, found.command, found.keys, body);
}

/** Whether a command is a rep: a run of them is worked out together. */
const isRep = ({ path }: BatchCommand): boolean =>
  recordRep.address.read(path) !== null || takeRepBack.address.read(path) !== null;

const note = ({ tx, schoolId, accountId }: SchoolTx, done: readonly BatchCommand[]) =>
  done.length === 0
    ? undefined
    : tx('commands').insert(done.map(({ key, path }) => ({ schoolId, id: key, accountId, path })));

/** Those of the commands that are not done yet, each key once. */
const toDo = (commands: readonly BatchCommand[], before: ReadonlySet<string>): readonly BatchCommand[] => [
  ...new Map(
    commands.filter(({ key }) => !before.has(key)).map((command) => [command.key, command]),
  ).values(),
];

/**
 * Carries all of them out in order; weaknesses are worked out again once, at the end. Whatever goes wrong
 * takes all of it back.
 */
async function carryOutTogether(batch: SchoolTx, commands: readonly BatchCommand[]): Promise<void> {
  const within: SchoolTx = { ...batch, deferred: { weaknesses: new Set(), drills: new Map() } };
  for (const command of commands) {
    // Reps of one batch are worked out together; whatever else comes has to see where they have led.
    if (!isRep(command)) await refreshDeferred(within);
    await carryOutOne(within, command);
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
  batch: SchoolTx,
  commands: readonly BatchCommand[],
  tellOurs: (command: BatchCommand, error: unknown) => void,
): Promise<ReadonlyMap<string, Problem>> {
  const refused = new Map<string, Problem>();
  for (const command of commands) {
    try {
      await batch.tx.transaction(async (tx) => {
        await carryOutOne({ ...batch, tx }, command);
        await note({ ...batch, tx }, [command]);
      });
    } catch (error) {
      refused.set(command.key, await refusalOf(batch, error, (ours) => tellOurs(command, ours)));
    }
  }
  return refused;
}

/** What a phone did without signal, in order, each command once, however often it is sent. */
export async function carryOutBatch(
  school: SchoolTx,
  body: unknown,
  tellOurs: (command: BatchCommand, error: unknown) => void,
): Promise<BatchAnswer> {
  // Each command's own body is looked over with it, so that one odd one holds up no other.
  assertPlain(body, (path) => /^commands\[\d+\]\.body$/.test(path));
  const sent = await batchShape.validate(body, { abortEarly: false });
  assertTheirs(school, sent.account);
  const { commands, aheadMs } = putClockRight(sent, Date.now());
  const { tx, schoolId } = school;
  // The same outbox from two places at once: the second waits for the first, and then finds its commands
  // done.
  if (commands.length > 0)
    await tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`sync ${schoolId}`]);
  const keys = commands.map((command) => command.key);
  const before = new Set((await tx('commands').whereIn('id', keys).pluck('id')) as string[]);
  const batch: SchoolTx = { ...school, phone: sent.phone };
  const wanted = toDo(commands, before);
  // Nearly always all of them go in, and one savepoint does. Where one is refused, all is taken back and done
  // again, each behind its own.
  const refused = await tx
    .transaction((inner) => carryOutTogether({ ...batch, tx: inner }, wanted))
    .then(
      () => new Map<string, Problem>(),
      (error: unknown) => {
        if (passesByItself(error)) throw error;
        return carryOutApart(batch, wanted, tellOurs);
      },
    );
  const results = commands.map(({ key }): CommandResult => {
    const problem = refused.get(key);
    return problem
      ? { key, done: false, status: problem.status, detail: problem.detail, ...problem.more }
      : { key, done: true };
  });
  return { results, clockAheadS: Math.round(aheadMs / 1000) };
}
