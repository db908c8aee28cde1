import { messageWords } from '@skelby/copy/say';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { object, string } from 'yup';
import { addSchool, addTrainer as insertTrainer } from '../server/src/db/add-school';
import { withDatabase } from './database';
import { dataInUse } from './data-in-use';
import { CannotGoOn, say } from './say';

const shape = object({
  school: string().trim().required('--school is missing: name the school.').max(120),
  name: string().trim().required('--name is missing: name the trainer.').max(80),
  email: string()
    .trim()
    .lowercase()
    .required('--email is missing: give the address to sign in with.')
    .email('--email does not look like an address: write it as name@place.'),
  password: string()
    .required('The password is empty: type one.')
    .min(12, 'The password is too short: give at least 12 characters.')
    .max(200),
});

async function askPassword(): Promise<string> {
  const given = process.env['SKELBY_PASSWORD'];
  if (given !== undefined) return given;
  process.stdout.write('Password (at least 12 characters; it is not shown): ');
  // What is typed goes nowhere: at a terminal the line would stand on the screen and in its scrollback.
  const nowhere = new Writable({ write: (_part, _encoding, done) => done() });
  const prompt = createInterface({ input: process.stdin, output: nowhere, terminal: process.stdin.isTTY });
  try {
    return await prompt.question('');
  } finally {
    prompt.close();
    process.stdout.write('\n');
  }
}

export interface TrainerOptions {
  readonly school?: string;
  readonly name?: string;
  readonly email?: string;
  readonly data?: string;
}

/** Adds a trainer, and the school where there is none of that name. */
export async function runTrainer(options: TrainerOptions): Promise<number> {
  const password = await askPassword();
  const wanted = await shape
    .validate({ ...options, password }, { abortEarly: false })
    .catch((error: { errors: string[] }) => {
      throw new CannotGoOn(error.errors.map((each) => messageWords(each)).join('\n'));
    });
  const { url, release } = await dataInUse(options.data);
  try {
    await withDatabase(url, (db) =>
      db.transaction(async (tx) => {
        const there = (await tx('schools').where({ name: wanted.school, sandboxOf: null }).first('id')) as
          { id: string } | undefined;
        if (there && (await tx('accounts').where({ schoolId: there.id, email: wanted.email }).first()))
          throw new CannotGoOn(
            `${wanted.email} signs in to ${wanted.school} already: choose another address.`,
          );
        await insertTrainer(tx, there?.id ?? (await addSchool(tx, { name: wanted.school })), wanted);
      }),
    );
    say(`${wanted.name} can sign in to ${wanted.school} as ${wanted.email}.`);
    return 0;
  } finally {
    await release();
  }
}
