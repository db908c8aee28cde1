import { fork } from 'node:child_process';
import net from 'node:net';
import path from 'node:path';
import { APP_FOLDER } from './build-app';
import { ROOT } from './places';
import { CannotGoOn } from './say';

export interface ServerProcess {
  readonly port: number;
  /** Process id. */
  readonly pid: number;
  readonly stop: () => Promise<void>;
  /** Settles when the server ends by itself. */
  readonly ended: Promise<number>;
}

/** Says in a sentence when a port cannot be had, before anything else is started. */
export function assertPortFree(port: number): Promise<void> {
  return new Promise((resolve, reject) => {
    const probe = net
      .createServer()
      .once('error', (error: NodeJS.ErrnoException) =>
        reject(
          new CannotGoOn(
            error.code === 'EACCES'
              ? `Port ${port} is not open to this user: choose one from 1024 up with --port N.`
              : `Port ${port} is taken by another program: stop that one, or choose another with --port N.`,
          ),
        ),
      )
      .listen(port, '127.0.0.1', () => probe.close(() => resolve()));
  });
}

/** Starts the server as a process of its own and waits until it listens. */
export function startServer(databaseUrl: string, port: number, logLevel = 'warn'): Promise<ServerProcess> {
  const child = fork(path.join(ROOT, 'server', 'src', 'main.ts'), {
    execArgv: ['--import', 'tsx'],
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      APP_FOLDER,
      LOG_LEVEL: process.env['LOG_LEVEL'] ?? logLevel,
      NODE_ENV: 'production',
    },
    // A process group of its own: Ctrl-C reaches the launcher alone, which stops things in order.
    detached: true,
  });
  const ended = new Promise<number>((resolve) => {
    child.once('exit', (code) => resolve(code ?? 1));
  });
  const stop = async () => {
    child.kill('SIGTERM');
    await ended;
  };
  return new Promise((resolve, reject) => {
    child.once('message', (message) =>
      resolve({ port: (message as { listening: number }).listening, pid: child.pid!, stop, ended }),
    );
    void ended.then((code) =>
      reject(new CannotGoOn(`The server stopped while starting (code ${code}); what it said stands above.`)),
    );
  });
}
