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
export type PieceDone = 'more' | 'ended';

/** So many at once on one server. */
const AT_ONCE = 2;
const LOOKS_EVERY_S = 1;
/** How often it is looked for jobs whose server has gone, s. */
const LOOKS_AFTER_S = 10;
const STOPS_WITHIN_MS = 8_000;

export interface Jobs {
  /** Adds a job; a worker may have it before the transaction that asks for it is over. */
  readonly add: (name: JobName, job: Job) => Promise<void>;
  /** @param each works on a job for a while; whatever it throws, the job comes again */
  readonly work: (name: JobName, each: (job: Job) => Promise<PieceDone>) => Promise<void>;
  /** Takes no more, and waits until what is under way has come to the end of its piece. */
  readonly close: () => Promise<void>;
}

/** @param url as the role that the server logs in as @param onError told of what goes wrong between jobs */
export async function openJobs(url: string, onError: (error: Error) => void): Promise<Jobs> {
  const boss = new PgBoss({
    connectionString: url,
    max: AT_ONCE,
    migrate: false,
    schedule: false,
    maintenanceIntervalSeconds: LOOKS_AFTER_S,
  });
  boss.on('error', onError);
  await boss.start();
  const workers: string[] = [];
  const add = async (name: JobName, job: Job) => {
    await boss.send(name, job);
    for (const worker of workers) boss.notifyWorker(worker);
  };
  return {
    add,
    work: async (name, each) => {
      const options = { batchSize: 1, pollingIntervalSeconds: LOOKS_EVERY_S };
      for (let i = 0; i < AT_ONCE; i += 1)
        workers.push(
          await boss.work<Job>(name, options, async ([job]) => {
            if (job && (await each(job.data)) === 'more') await add(name, job.data);
          }),
        );
    },
    close: () => boss.stop({ graceful: true, wait: true, timeout: STOPS_WITHIN_MS }),
  };
}
