import { parseArgs } from 'node:util';
import { exitWith } from './exit';
import { bin, ROOT } from './places';
import { run } from './run';
import { CannotGoOn, say } from './say';

const HELP = `./skelby demo    sets everything up and serves the demo school
                   --port N    serve on this port (8080)
                   --data DIR  keep the database here
                   --fresh     load the demo school anew, dated from today
                   DATABASE_URL=… DATABASE_APP_URL=…  use this PostgreSQL instead of one of its
                   own: as its owner, and as the role that the server logs in as
./skelby serve   the same without the demo school
                   --backups DIR  a backup there now and every day, the last 14 kept
./skelby trainer adds a trainer: --school NAME --name NAME --email ADDRESS; the password is asked for
                 (or taken from SKELBY_PASSWORD); a school that is not there is made
./skelby migrate brings the PostgreSQL at DATABASE_URL up to date, beside servers that start with
                 DATABASE_APP_URL alone
./skelby backup FILE   copies everything, and tries at once whether it can be restored
                   --school NAME  one school alone
                   --data DIR     the data to copy
./skelby restore FILE  brings a copy in where nothing is written over
./skelby check   works every weakness out anew and says what differs
./skelby flights DIR   writes sample flights there, as six made-up recorders would
./skelby test    type check, lint, unit, server and browser tests
                   --only static|unit|browser  one part; what follows -- goes to its runner
./skelby bench   prints the measured figures; what follows -- names the parts wanted
./skelby describe  writes docs/openapi.json anew from shapes and types
./skelby pictures  takes the pictures in docs/screenshots anew, from the demo data`;

/** Commands that work on a file. */
const TAKE_A_FILE: ReadonlySet<string> = new Set(['backup', 'restore', 'flights']);

interface Options {
  readonly port?: string;
  readonly data?: string;
  readonly fresh?: boolean;
  readonly school?: string;
  readonly name?: string;
  readonly email?: string;
  readonly only?: string;
  readonly backups?: string;
  /** What a command works on. */
  readonly file?: string | undefined;
}

function read(all: readonly string[]): { command: string; options: Options; rest: readonly string[] } {
  const cut = all.includes('--') ? all.indexOf('--') : all.length;
  const [args, rest] = [all.slice(0, cut), all.slice(cut + 1)];
  try {
    const { positionals, values } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        port: { type: 'string' },
        data: { type: 'string' },
        fresh: { type: 'boolean' },
        help: { type: 'boolean' },
        school: { type: 'string' },
        name: { type: 'string' },
        email: { type: 'string' },
        only: { type: 'string' },
        backups: { type: 'string' },
      },
    });
    const [command = 'help', file, ...more] = positionals;
    const extra = TAKE_A_FILE.has(command) ? more[0] : file;
    if (extra !== undefined) throw new Error(`There is no "${extra}" here`);
    return { command: values.help ? 'help' : command, options: { ...values, file }, rest };
  } catch (error) {
    throw new CannotGoOn(`${(error as Error).message}.\n\n${HELP}`);
  }
}

/** What measures and what takes pictures leans on these tools, and is started by them as a process of its own. */
const elsewhere = async (file: string, args: readonly string[]): Promise<number> =>
  (await run(bin('tsx'), [file, ...args], { cwd: ROOT, show: true })).code;

async function main(): Promise<number> {
  const { command, options, rest } = read(process.argv.slice(2));
  switch (command) {
    case 'demo':
      return (await import('./serve')).serve({ ...options, demo: true });
    case 'serve':
      return (await import('./serve')).serve({ ...options, demo: false });
    case 'trainer':
      return (await import('./trainer')).runTrainer(options);
    case 'migrate':
      return (await import('./database')).runMigrate();
    case 'backup':
      return (await import('./backup')).runBackup(options);
    case 'restore':
      return (await import('./backup')).runRestore(options);
    case 'check':
      return (await import('./backup')).runCheck(options);
    case 'flights':
      return (await import('./flights')).runFlights(options);
    case 'test':
      return (await import('./test')).test(options.only, rest);
    case 'bench':
      return elsewhere('bench/main.ts', rest);
    case 'describe':
      (await import('./open-api')).writeOpenApi();
      return 0;
    case 'pictures':
      return elsewhere('e2e/take-pictures.ts', rest);
    case 'help':
      say(HELP);
      return 0;
    default:
      throw new CannotGoOn(`There is no command "${command}".\n\n${HELP}`);
  }
}

await exitWith(main);
