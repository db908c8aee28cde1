import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { run } from './run';
import { CannotGoOn, say } from './say';

const POSTGRES = '/usr/lib/postgresql';
const CHROMIUM = '/usr/bin/chromium';

/** Folder of the newest PostgreSQL's programs, or null when none is installed. */
function postgresFolder(): string | null {
  if (!existsSync(POSTGRES)) return null;
  const newest = readdirSync(POSTGRES)
    .map(Number)
    .filter((version) => version >= 13)
    .sort((a, b) => b - a)
    .map((version) => path.join(POSTGRES, String(version), 'bin'))
    .find((folder) => existsSync(path.join(folder, 'initdb')));
  return newest ?? null;
}

async function install(what: string, why: string): Promise<void> {
  const permitted = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!permitted)
    throw new CannotGoOn(
      `${why} Install it with: sudo apt-get update && sudo apt-get install -y ${what}\nThen run this again.`,
    );
  say(`Installing ${what} from Debian's packages …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-qq'], { env });
  const { code, output } = await run('apt-get', ['install', '-y', '-qq', what], { env });
  if (code !== 0)
    throw new CannotGoOn(
      `${why} Installing ${what} failed:\n${output.trim().split('\n').slice(-3).join('\n')}\nMend that, then run this again.`,
    );
}

export async function needPostgres(): Promise<string> {
  if (!postgresFolder())
    await install('postgresql', 'Skelby keeps its data in PostgreSQL, which is not installed.');
  const folder = postgresFolder();
  if (!folder)
    throw new CannotGoOn(
      `PostgreSQL 13 or newer is not under ${POSTGRES}. Install Debian's package postgresql, or name a running one with DATABASE_URL.`,
    );
  return folder;
}

export async function needChromium(): Promise<string> {
  if (!existsSync(CHROMIUM))
    await install(
      'chromium',
      "The browser tests and the bench need Debian's chromium, which is not installed.",
    );
  return CHROMIUM;
}
