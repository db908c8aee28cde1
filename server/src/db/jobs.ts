import { setTimeout } from 'node:timers/promises';
import type { Knex } from 'knex';
import pg from 'pg';
import PgBoss from 'pg-boss';

/**
 * Work that outlives a request: a queue in the database (pg-boss), so that any server may do what another was asked
 * for, and does again what a server left half done.
 */

/** The work that there is; each has its queue, made by a migration. */
type JobName = 'imports';
/** A job names what it is about by keys; what they stand for is behind the walls of its school. */
export interface Job {
  readonly schoolId: string;
  readonly id: string;
}
/** A job is worked on in pieces, so that it can be stopped, and others have their turn. */
export type PieceEnd = 'more' | 'ended';

/** So many at once on one server. */
const AT_ONCE = 2;
const LOOKS_EVERY_S = 0.5;
/** How often it is looked for jobs whose server has gone, s. */
const LOOKS_AFTER_S = 10;
const STOPS_WITHIN_MS = 8_000;

export interface Jobs {
  /** Adds a job with the transaction that asks for it: nobody has it before, and none is left of one that fails. */
  readonly add: (tx: Knex.Transaction, name: JobName, job: Job) => Promise<void>;
  /** @param each works on a job for a while; whatever it throws, the job comes again */
  readonly work: (name: JobName, each: (job: Job) => Promise<PieceEnd>) => Promise<void>;
  /** Takes no more, and waits until what is under way has come to the end of its piece. */
  readonly close: () => Promise<void>;
}

/** Statements of pg-boss, whose values are $1, $2 …, in a transaction of Knex. */
const within = (tx: Knex.Transaction): PgBoss.Db => ({
  executeSql: (text, values) =>
    tx.raw<{ rows: unknown[] }>(
      text.replace(/\$(\d+)/g, ':p$1'),
      Object.fromEntries(values.map((value: Knex.Value | undefined, i) => [`p${i + 1}`, value ?? null])),
    ),
});

/** Whether the connection was lost, or the database is away (PostgreSQL, appendix A: classes 08 and 57). */
const isLost = (error: unknown): boolean =>
  error instanceof Error &&
  (/^Connection terminated/.test(error.message) ||
    ('code' in error && typeof error.code === 'string' && /^(08|57)|^ECONN/.test(error.code)));

/** Between tries of a statement whose connection was lost, ms. */
const TRIES_AGAIN_MS = 500;

/**
 * Connections of the queue. pg-boss gives a job back without waiting for it: where that is refused nobody catches it,
 * and the server would end. So once it runs a statement waits until the database is there again; done twice each of
 * them does the same.
 */
class Line implements PgBoss.Db {
  private readonly pool: pg.Pool;
  private waits = false;

  constructor(url: string, onError: (error: Error) => void) {
    this.pool = new pg.Pool({ connectionString: url, max: AT_ONCE });
    this.pool.on('error', onError);
  }

  /** From here on until it is closed a lost connection is waited for. */
  waitFor(): void {
    this.waits = true;
  }

  async executeSql(text: string, values: unknown[]): Promise<{ rows: unknown[] }> {
    for (;;) {
      try {
        return await this.pool.query<object>(text, values);
      } catch (error) {
        if (!this.waits || !isLost(error)) throw error;
        await setTimeout(TRIES_AGAIN_MS);
      }
    }
  }

  async close(): Promise<void> {
    this.waits = false;
    await this.pool.end();
  }
}

/** @param url as the role that the server logs in as @param onError told of what goes wrong between jobs */
export async function openJobs(url: string, onError: (error: Error) => void): Promise<Jobs> {
  const db = new Line(url, onError);
  const boss = new PgBoss({
    db,
    migrate: false,
    schedule: false,
    maintenanceIntervalSeconds: LOOKS_AFTER_S,
  });
  boss.on('error', onError);
  await boss.start();
  db.waitFor();
  return {
    add: async (tx, name, job) => {
      await boss.send(name, job, { db: within(tx) });
    },
    work: async (name, each) => {
      const options = { batchSize: 1, pollingIntervalSeconds: LOOKS_EVERY_S };
      for (let i = 0; i < AT_ONCE; i += 1)
        await boss.work<Job>(name, options, async ([job]) => {
          if (job && (await each(job.data)) === 'more') await boss.send(name, job.data);
        });
    },
    close: async () => {
      await boss.stop({ graceful: true, wait: true, timeout: STOPS_WITHIN_MS });
      await db.close();
    },
  };
}
