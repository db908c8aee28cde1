import { type ChildProcess, fork } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { BatchAnswer } from '@skelby/core/sync/batch';
import { ApiProblem, NoConnection } from '../app/src/shared/api/client';
import { Outbox } from '../app/src/offline/outbox/outbox';
import type { Shelf } from '../app/src/shared/storage/shelf';
import { isToSend, type Waiting } from '../app/src/offline/outbox/waiting';
import { addSchool, addTrainer } from '../server/src/db/add-school';
import { id, rep, Visitor, withWeakness } from '../server/src/testing/test-school';
import { type Cluster, freePort, startCluster } from './cluster';
import { ensureDatabase, withDatabase } from './database';

/**
 * A phone's own outbox against the real server and database, while both are killed under it: reps in, reps
 * out.
 */

const folder = mkdtempSync(path.join(tmpdir(), 'skelby-faults-'));
chmodSync(folder, 0o755);
const EMAIL = 'trainer@faults.example';
const PASSWORD = 'a long enough password';

let cluster: Cluster;
let server: ChildProcess;
let port: number;

function up(): Promise<void> {
  server = fork(path.join(__dirname, '..', 'server', 'src', 'main.ts'), {
    execArgv: ['--import', 'tsx'],
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      DATABASE_URL: cluster.appUrl('faults'),
      PORT: String(port),
      APP_FOLDER: '/nowhere',
      LOG_LEVEL: 'silent',
      NODE_ENV: 'production',
    },
  });
  return new Promise((resolve) => {
    server.once('message', () => resolve());
  });
}

function ended(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
  const gone = new Promise<void>((resolve) => {
    server.once('exit', () => resolve());
  });
  server.kill(signal);
  return gone;
}
const [PHONE, OTHER] = [id(), id()];
const killed = () => ended('SIGKILL');

beforeAll(async () => {
  cluster = await startCluster(path.join(folder, 'data'));
  await ensureDatabase(cluster.url, 'faults');
  await withDatabase(cluster.url('faults'), async (db) => {
    await addTrainer(db, await addSchool(db, { name: 'Faults' }), {
      name: 'Hanne',
      email: EMAIL,
      password: PASSWORD,
    });
  });
  port = await freePort();
  await up();
}, 120_000);
afterAll(async () => {
  await ended('SIGTERM');
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}, 60_000);

const phone = (): Shelf<Waiting> & { readonly items: Map<string, Waiting> } => {
  const items = new Map<string, Waiting>();
  return {
    items,
    all: async () => [...items.values()],
    put: async (key, item) => {
      items.set(key, item);
    },
    drop: async (key) => {
      items.delete(key);
    },
    clear: async () => items.clear(),
  };
};

/** Sends as the app's own client does. */
const sender =
  (cookie: string) =>
  async (address: string, body: unknown): Promise<BatchAnswer> => {
    let response: Response;
    try {
      response = await fetch(`http://127.0.0.1:${port}/api${address}`, {
        method: 'POST',
        headers: { Cookie: cookie, Origin: `http://127.0.0.1:${port}`, 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
      if (response.ok) return (await response.json()) as BatchAnswer;
    } catch {
      throw new NoConnection();
    }
    throw new ApiProblem(response.status, `${response.status}`);
  };

const left = (outbox: Outbox) => outbox.state().items.filter(isToSend).length;
const pause = (ms: number) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

/** Sends until nothing is left, whatever happens to what is at the other end. */
async function sendAll(outbox: Outbox): Promise<void> {
  for (let tries = 0; left(outbox) > 0; tries += 1) {
    if (tries > 300) throw new Error(`${left(outbox)} entries never went out.`);
    await outbox.flush();
    await pause(100);
  }
  outbox.use(null);
}

interface OfTrainer {
  readonly cookie: string;
  readonly accountId: string;
  readonly weaknessId: string;
}

async function aWeakness(): Promise<OfTrainer> {
  const trainer = await new Visitor(`http://127.0.0.1:${port}`).signIn(EMAIL);
  const { accountId } = (await trainer.get<{ accountId: string }>('/me')).body;
  return { cookie: trainer.cookie, accountId, weaknessId: (await withWeakness(trainer)).weaknessId };
}

async function filled(
  { cookie, accountId, weaknessId }: OfTrainer,
  count: number,
  shelf = phone(),
): Promise<Outbox> {
  const outbox = new Outbox(
    () => Promise.reject(new NoConnection()),
    shelf,
    () => PHONE,
  );
  outbox.use(accountId);
  for (let i = 0; i < count; i += 1)
    await outbox.add({
      path: `/reps/${id()}`,
      stamp: 'flownAt',
      what: 'rep',
      body: rep(weaknessId, {
        flownAt: new Date(Date.parse('2026-03-03T08:00:00Z') + i * 20_000).toISOString(),
      }),
    });
  await outbox.flush();
  outbox.use(null);
  const sending = new Outbox(sender(cookie), shelf, () => PHONE);
  await sending.read();
  sending.use(accountId);
  return sending;
}

const recorded = (weaknessId: string) =>
  withDatabase(cluster.url('faults'), async (db) => ({
    reps: Number(((await db('reps').where({ weaknessId }).count('* as n').first()) as { n: number }).n),
    events: Number(
      (
        (await db('events')
          .where({ subject: 'rep', action: 'recorded' })
          .whereIn('subject_id', db('reps').select('id').where({ weaknessId }))
          .count('* as n')
          .first()) as { n: number }
      ).n,
    ),
  }));

test('the server killed twice and the database broken off once, in the middle of the writing: 500 reps in, 500 reps out', async () => {
  const of = await aWeakness();
  const outbox = await filled(of, 500);
  const sending = sendAll(outbox);
  for (const harm of [killed, cluster.breakOff, killed]) {
    await pause(350);
    await harm();
    if (harm === killed) await up();
  }
  await sending;
  expect(outbox.state().items.filter((item) => item.refused)).toEqual([]);
  expect(await recorded(of.weaknessId)).toEqual({ reps: 500, events: 500 });
}, 180_000);

test('the same outbox from two phones at once, and a third time afterwards: each rep is there once', async () => {
  const of = await aWeakness();
  const first = phone();
  const one = await filled(of, 150, first);
  const copy = phone();
  for (const [key, item] of first.items) copy.items.set(key, { ...item });
  const two = new Outbox(sender(of.cookie), copy, () => OTHER);
  await two.read();
  two.use(of.accountId);
  await Promise.all([sendAll(one), sendAll(two)]);
  expect(await recorded(of.weaknessId)).toEqual({ reps: 150, events: 150 });
}, 120_000);
