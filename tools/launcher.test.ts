import { type ChildProcess, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** The one command, as a person would type it. */

const SKELBY = path.join(__dirname, '..', 'skelby');
const folder = mkdtempSync(path.join(tmpdir(), 'skelby-launcher-'));
// As root the database runs as another user, who has to be able to come by.
chmodSync(folder, 0o755);
const running: ChildProcess[] = [];
afterAll(() => {
  for (const child of running) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

interface Ended {
  readonly code: number | null;
  readonly said: string;
}

function skelby(
  args: readonly string[],
  env: Record<string, string> = {},
): { child: ChildProcess; up: Promise<void>; ended: Promise<Ended> } {
  const own: NodeJS.ProcessEnv = { ...process.env };
  delete own['DATABASE_URL'];
  delete own['DATABASE_APP_URL'];
  const child = spawn(SKELBY, args, { env: { ...own, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
  running.push(child);
  let said = '';
  let isUp = () => {};
  const up = new Promise<void>((resolve, reject) => {
    isUp = resolve;
    child.once('close', () => reject(new Error(`It ended before it was up:\n${said}`)));
  });
  up.catch(() => undefined); // a start that is meant to fail is looked at by how it ended
  const hear = (part: Buffer) => {
    said += part.toString();
    if (said.includes('Ctrl-C stops it.')) isUp();
  };
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  return {
    child,
    up,
    ended: new Promise((resolve) => {
      child.once('close', (code) => resolve({ code, said }));
    }),
  };
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = net.createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as net.AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const answers = (port: number): Promise<boolean> =>
  fetch(`http://127.0.0.1:${port}/readyz`).then(
    (response) => response.ok,
    () => false,
  );

test('a busy port gets a sentence that says what to do, and nothing is started', async () => {
  const holder = net.createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => {
    holder.once('listening', resolve);
  });
  const { port } = holder.address() as net.AddressInfo;
  const { code, said } = await skelby(['demo', '--port', String(port)]).ended;
  holder.close();
  expect(code).toBe(1);
  expect(said.trim()).toBe(
    `Port ${port} is taken by another program: stop that one, or choose another with --port N.`,
  );
});

test('a data folder that is none, is a file, or is damaged gets one too', async () => {
  const port = String(await freePort());
  const file = path.join(folder, 'a-file');
  writeFileSync(file, 'not a folder');
  const asFile = await skelby(['demo', '--port', port, '--data', file]).ended;
  expect(asFile).toMatchObject({ code: 1 });
  expect(asFile.said).toContain('cannot be used');
  const damaged = path.join(folder, 'damaged');
  mkdirSync(path.join(damaged, 'cluster'), { recursive: true });
  const broken = await skelby(['demo', '--port', port, '--data', damaged]).ended;
  expect(broken).toMatchObject({ code: 1 });
  expect(broken.said).toMatch(
    /is not usable: part of the database is missing\. Restore it from a backup, move it away, or name another with --data DIR\./,
  );
});

test('a DATABASE_URL that does not answer is said in words', async () => {
  const { code, said } = await skelby(['serve', '--port', String(await freePort())], {
    DATABASE_URL: 'postgres://x:y@127.0.0.1:1/z',
    DATABASE_APP_URL: 'postgres://skelby_app:y@127.0.0.1:1/z',
  }).ended;
  expect(code).toBe(1);
  expect(said).toContain('The database at DATABASE_URL does not answer');
});

test('a server that starts without the owner says at once what is wrong with its database', async () => {
  const { code, said } = await skelby(['serve', '--port', String(await freePort())], {
    DATABASE_APP_URL: 'postgres://skelby_app:y@127.0.0.1:1/z',
  }).ended;
  expect(code).toBe(1);
  expect(said).toContain('The database at DATABASE_APP_URL does not answer');
});

test('a PostgreSQL named by its owner alone: the start says which two roles it needs', async () => {
  const { code, said } = await skelby(['serve', '--port', String(await freePort())], {
    DATABASE_URL: 'postgres://x:y@127.0.0.1:1/z',
  }).ended;
  expect(code).toBe(1);
  expect(said).toMatch(/DATABASE_APP_URL is missing.*create role skelby_app login nosuperuser nobypassrls/s);
});

test.each([
  [['demo', '--port', 'high'], '--port must be a whole number'],
  [['fly'], 'There is no command "fly"'],
  [['demo', '--colour'], 'Unknown option'],
  [['serve', '--fresh'], '--fresh throws the demo database away'],
])('%j: %s', async (args, words) => {
  // A port of its own: a demo may be running on the usual one.
  const port = args.includes('--port') ? [] : ['--port', String(await freePort())];
  const { code, said } = await skelby([...args, ...port, '--data', path.join(folder, 'unused')]).ended;
  expect(code).toBe(1);
  expect(said).toContain(words);
});

test("a school of one's own: add a trainer, serve, sign in, stop; a second start on the same data is refused meanwhile", async () => {
  const data = path.join(folder, 'school');
  const port = await freePort();
  const short = await skelby(
    [
      'trainer',
      '--school',
      'Field School',
      '--name',
      'A. Trainer',
      '--email',
      'a@field.example',
      '--data',
      data,
    ],
    { SKELBY_PASSWORD: 'short' },
  ).ended;
  expect(short).toMatchObject({ code: 1, said: 'The password is too short: give at least 12 characters.\n' });
  const password = 'long enough to keep';
  const added = await skelby(
    [
      'trainer',
      '--school',
      'Field School',
      '--name',
      'A. Trainer',
      '--email',
      'a@field.example',
      '--data',
      data,
    ],
    { SKELBY_PASSWORD: password },
  ).ended;
  expect(added).toMatchObject({
    code: 0,
    said: 'A. Trainer can sign in to Field School as a@field.example.\n',
  });

  const server = skelby(['serve', '--port', String(port), '--data', data]);
  await server.up;
  const origin = `http://127.0.0.1:${port}`;
  const signInAs = (email: string) =>
    fetch(`${origin}/api/sign-in`, {
      method: 'POST',
      headers: { Origin: origin, 'Content-Type': 'application/json' },
      body: JSON.stringify({ email, password }),
    });
  expect((await signInAs('a@field.example')).status).toBe(200);
  const second = await skelby(['serve', '--port', String(await freePort()), '--data', data]).ended;
  expect(second.code).toBe(1);
  expect(second.said).toContain(`Skelby already runs on this data at http://127.0.0.1:${port}`);

  // A second trainer, while the school is at work: the live database stays.
  const colleague = await skelby(
    [
      'trainer',
      '--school',
      'Field School',
      '--name',
      'B. Trainer',
      '--email',
      'b@field.example',
      '--data',
      data,
    ],
    { SKELBY_PASSWORD: password },
  ).ended;
  expect(colleague).toMatchObject({
    code: 0,
    said: 'B. Trainer can sign in to Field School as b@field.example.\n',
  });
  expect((await signInAs('b@field.example')).status).toBe(200);
  expect(await answers(port)).toBe(true);

  server.child.kill('SIGINT');
  expect((await server.ended).code).toBe(0);
  expect(await answers(port)).toBe(false);
  expect(existsSync(path.join(data, 'cluster', 'postmaster.pid'))).toBe(false);
}, 180_000);

test('after the launcher was killed outright its server goes too, and the next start recovers', async () => {
  const data = path.join(folder, 'school');
  const port = await freePort();
  const first = skelby(['serve', '--port', String(port), '--data', data]);
  await first.up;
  first.child.kill('SIGKILL');
  await first.ended;
  for (let tries = 0; tries < 100 && (await answers(port)); tries += 1)
    await new Promise((resolve) => {
      setTimeout(resolve, 100);
    });
  expect(await answers(port)).toBe(false);
  const second = skelby(['serve', '--port', String(port), '--data', data]);
  await second.up;
  expect(await answers(port)).toBe(true);
  second.child.kill('SIGTERM');
  expect((await second.ended).code).toBe(0);
}, 180_000);
