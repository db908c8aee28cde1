import path from 'node:path';
import { ROOT } from '../tools/places';
import { run } from '../tools/run';
import { CannotGoOn, say } from '../tools/say';

/** Lists of commands, phone against server. */
const PHONE_RUNS = 150;

/** Tests of which `./skelby test` takes a sample every day, all of them. */
export async function flyWhole(): Promise<void> {
  say('\nWhat ./skelby test takes a sample of every day, all of it');
  const skelby = (args: readonly string[], env: NodeJS.ProcessEnv) =>
    run(path.join(ROOT, 'skelby'), ['test', '--only', ...args], { cwd: ROOT, show: true, env });
  const ran = [
    await skelby(['browser'], { LOOKS: 'all', BROWSER_ALL: '1' }),
    await skelby(['unit', '--', '--selectProjects', 'core'], { TEST_ALL: '1' }),
    await skelby(['unit', '--', '--selectProjects', 'tools', '--', 'phone-and-server'], {
      PHONE_RUNS: String(PHONE_RUNS),
    }),
  ];
  ran.push(
    await skelby(['unit', '--', '--selectProjects', 'server', '--', 'http/fuzz'], { FUZZ_RUNS: '5000' }),
  );
  if (ran.some(({ code }) => code !== 0)) throw new CannotGoOn('Something of the whole fails: see above.');
}
