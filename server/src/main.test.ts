import { fork, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { id, rep, startTestServer, type TestServer, Visitor, withWeakness } from './testing/test-school';

/** The server as a process: it starts, serves, and stops without dropping what it has begun. */

let school: TestServer;
let child: ChildProcess | null = null;
beforeAll(async () => {
  school = await startTestServer();
});
afterEach(() => {
  child?.kill('SIGKILL');
});
afterAll(() => school.close());

function start(): Promise<{ base: string; ended: Promise<number | null> }> {
  const process_ = fork(path.join(__dirname, 'main.ts'), {
    execArgv: ['--import', 'tsx'],
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    env: {
      ...process.env,
      DATABASE_URL: school.appUrl,
      PORT: '0',
      APP_FOLDER: '/nowhere',
      LOG_LEVEL: 'silent',
      NODE_ENV: 'production',
    },
  });
  child = process_;
  const ended = new Promise<number | null>((resolve) => {
    process_.once('exit', resolve);
  });
  return new Promise((resolve) => {
    process_.once('message', (message) =>
      resolve({ base: `http://127.0.0.1:${(message as { listening: number }).listening}`, ended }),
    );
  });
}

async function waitsForLock(): Promise<void> {
  for (let tries = 0; tries < 200; tries += 1) {
    const { rows } = (await school.db.raw(
      "select 1 from pg_stat_activity where wait_event_type = 'Lock' and datname = current_database()",
    )) as { rows: unknown[] };
    if (rows.length > 0) return;
    await new Promise((resolve) => {
      setTimeout(resolve, 25);
    });
  }
  throw new Error('The rep never came to wait for the lock.');
}

test('on SIGTERM a rep under way is still recorded and answered; then the process ends cleanly', async () => {
  const { email, trainer } = await school.school('Carrow Fell');
  const { weaknessId } = await withWeakness(trainer);
  const { base, ended } = await start();
  const phone = await new Visitor(base).signIn(email);
  const hold = await school.db.transaction();
  await hold('weaknesses').where({ id: weaknessId }).forUpdate();
  const recording = phone.put(`/reps/${id()}`, rep(weaknessId));
  await waitsForLock();
  child!.kill('SIGTERM');
  await new Promise((resolve) => {
    setTimeout(resolve, 200);
  });
  await expect(fetch(`${base}/healthz`)).rejects.toThrow();
  await hold.commit();
  expect((await recording).status).toBe(200);
  expect(await ended).toBe(0);
  expect(await school.db('reps').where({ weaknessId })).toHaveLength(1);
});

test('a phone that hangs up half-way does not undo its rep, nor keep the server from stopping', async () => {
  const { email, trainer } = await school.school('Harrow Bay');
  const { weaknessId } = await withWeakness(trainer);
  const { base, ended } = await start();
  const phone = await new Visitor(base).signIn(email);
  const hold = await school.db.transaction();
  await hold('weaknesses').where({ id: weaknessId }).forUpdate();
  const hangUp = new AbortController();
  const recording = fetch(`${base}/api/reps/${id()}`, {
    method: 'PUT',
    signal: hangUp.signal,
    headers: { Cookie: phone.cookie, Origin: base, 'Content-Type': 'application/json' },
    body: JSON.stringify(rep(weaknessId)),
  });
  await waitsForLock();
  hangUp.abort();
  await expect(recording).rejects.toThrow();
  child!.kill('SIGTERM');
  await new Promise((resolve) => {
    setTimeout(resolve, 200);
  });
  await hold.commit();
  expect(await ended).toBe(0);
  expect(await school.db('reps').where({ weaknessId })).toHaveLength(1);
});
