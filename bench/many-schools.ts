import { v7 as uuid } from 'uuid';
import { tablesInOrder } from '../server/src/db/school-copy';
import { loadDemo } from '../server/src/demo/load';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { rep, type TestServer, type Visitor } from '../server/src/testing/test-school';
import { withServer } from './with-server';
import { say } from '../tools/say';
import { type AskPage, costOf, type PageCost } from './page-cost';

/**
 * What every page costs one school when it is alone and when it is one of a thousand: buffers that its statements look
 * at, and processor time of server and database.
 */

const SCHOOLS = Number(process.env['SCHOOLS'] ?? 1_000);
const OCCURRENCES = 1_000;
const REPS = 5_000;

/** Rows of these are found by a key that spans all schools: another school cannot have the same. */
const OF_ONE = ['accounts', 'devices', 'invitations', 'pilot_links'];

/** Raises a table of the first school to so many rows, by the ones there are under other keys. */
const raised = (table: string, columns: readonly string[], rows: number): string => `
  insert into ${table} (${columns.join(', ')})
  select ${columns.map((name) => (name === 'id' ? 'gen_random_uuid()' : `t.${name}`)).join(', ')}
    from (select *, row_number() over () as nth, count(*) over () as has from ${table}) t,
      generate_series(1, 1 + ${rows} / t.has) copies
   where (copies - 1) * t.has + t.nth <= ${rows} - t.has`;

async function columnsOf({ db }: TestServer, table: string): Promise<readonly string[]> {
  const { rows } = (await db.raw(
    `select attname as name from pg_attribute where attrelid = ?::regclass and attnum > 0 and not attisdropped
        and attgenerated = '' and attidentity <> 'a' order by attnum`,
    [table],
  )) as { rows: { name: string }[] };
  return rows.map(({ name }) => name);
}

/** Nothing is checked and no trigger runs: what is copied was checked when it came in. */
const unchecked = ({ db }: TestServer, statements: readonly string[]) =>
  db.transaction(async (tx) => {
    await tx.raw('set local session_replication_role = replica');
    for (const statement of statements) await tx.raw(statement);
  });

async function fillFirst(server: TestServer): Promise<void> {
  await loadDemo(server.db, new Date());
  await unchecked(server, [
    raised('occurrences', await columnsOf(server, 'occurrences'), OCCURRENCES),
    raised('reps', await columnsOf(server, 'reps'), REPS),
  ]);
  await server.db.raw('vacuum analyze');
}

async function addSchools(server: TestServer): Promise<void> {
  const { db } = server;
  await db.raw(
    `insert into schools (id, name) select gen_random_uuid(), 'School ' || n from generate_series(2, ${SCHOOLS}) n`,
  );
  const first = ((await db('schools').whereNot('name', 'like', 'School %').first('id')) as { id: string }).id;
  // Every key begins with the school: another gets the same rows under the same keys.
  for (const table of (await tablesInOrder(db)).filter((name) => !OF_ONE.includes(name))) {
    const columns = await columnsOf(server, table);
    const from = columns.map((name) => (name === 'school_id' ? 's.id' : `t.${name}`)).join(', ');
    await unchecked(server, [
      `insert into ${table} (${columns.join(', ')})
       select ${from} from schools s, ${table} t where t.school_id = '${first}' and s.id <> '${first}'`,
    ]);
  }
  await db.raw('vacuum analyze');
}

/** Every page of a trainer, and a rep. */
async function pagesOf(
  { db }: TestServer,
  schoolId: string,
): Promise<readonly (readonly [string, AskPage])[]> {
  const some = async (table: string, order: string) =>
    ((await db(table).where({ schoolId }).orderBy(order).first('id')) as { id: string }).id;
  const [weaknessId, occurrenceId, pilotId] = [
    await some('weaknesses', 'id'),
    await some('occurrences', 'id'),
    await some('pilots', 'id'),
  ];
  const get = (path: string): readonly [string, AskPage] => [
    path.replace(/[\da-f-]{36}/, '…'),
    (who) => who.get(path),
  ];
  const day = new Date().toISOString().slice(0, 10);
  return [
    ...['/me', '/today', '/roster', '/flights', '/sessions', '/drills', '/school/rule', '/history'].map(get),
    get(`/weaknesses/${weaknessId}`),
    get(`/occurrences/${occurrenceId}`),
    get(`/occurrences/${occurrenceId}/debrief`),
    get(`/pilots/${pilotId}`),
    get('/carry'),
    [
      'a rep',
      (who) =>
        who.put(
          `/reps/${uuid()}`,
          rep(weaknessId, { purpose: 'practice', day, flownAt: new Date().toISOString() }),
        ),
    ],
  ];
}

async function costs(server: TestServer, visitor: Visitor): Promise<ReadonlyMap<string, PageCost>> {
  const { id } = (await server.db('schools').whereNot('name', 'like', 'School %').first('id')) as {
    id: string;
  };
  const found = new Map<string, PageCost>();
  for (const [name, ask] of await pagesOf(server, id))
    found.set(name, await costOf(server, visitor, id, ask));
  return found;
}

/** Loads it all, and says what every page costs alone and among many. */
export const sayManySchools = (): Promise<void> =>
  withServer(async (server) => {
    await fillFirst(server);
    const visitor = await server.visitor().signIn(DEMO_TRAINERS[0].email, DEMO_TRAINERS[0].password);
    const alone = await costs(server, visitor);
    await addSchools(server);
    const count = async (table: string) =>
      Number(
        ((await server.db.raw(`select count(*) as n from ${table}`)) as { rows: { n: number }[] }).rows[0]!.n,
      );
    say(
      `\nOne school alone, and among ${SCHOOLS}: ${await count('occurrences')} occurrences, ${await count('reps')} reps\n`,
    );
    const among = await costs(server, visitor);
    say(
      '| page | statements | buffers alone | among many | times | processor, ms alone | among many | times |',
    );
    say('| --- | --- | --- | --- | --- | --- | --- | --- |');
    for (const [name, one] of alone) {
      const many = among.get(name)!;
      say(
        `| ${name} | ${one.statements} | ${one.buffers} | ${many.buffers} | ${(many.buffers / one.buffers).toFixed(2)} | ${one.cpuMs.toFixed(1)} | ${many.cpuMs.toFixed(1)} | ${(many.cpuMs / one.cpuMs).toFixed(2)} |`,
      );
    }
  });
