import { spawn } from 'node:child_process';
import path from 'node:path';
import { freePort } from '../tools/cluster';
import { ROOT } from '../tools/places';
import { CannotGoOn } from '../tools/say';

/** Seconds from starting `./skelby demo` to its address being printed. */
export async function startTime(folder: string): Promise<number> {
  const started = performance.now();
  const child = spawn(
    path.join(ROOT, 'skelby'),
    ['demo', '--port', String(await freePort()), '--data', folder],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  const ended = new Promise<void>((resolve) => {
    child.once('exit', () => resolve());
  });
  let output = '';
  const ready = new Promise<number>((resolve) => {
    child.stdout.on('data', (part: Buffer) => {
      output += part.toString();
      if (output.includes('Ctrl-C')) resolve((performance.now() - started) / 1000);
    });
  });
  const seconds = await Promise.race([
    ready,
    ended.then(() => {
      throw new CannotGoOn(`The demo ended before it was up:\n${output}`);
    }),
  ]);
  child.kill('SIGTERM');
  await ended;
  return seconds;
}
