import type { Knex } from 'knex';
import { addSchool } from './add-school';
import { connect } from './connection';
import { assertUpToDate } from './migrate';
import { assertWorkingRole } from './working-role';
import { inSchool, NO_SCHOOL } from './in-school';
import {
  CRAFT,
  confirmation,
  id,
  occurrence,
  PILOT,
  rep,
  SITE,
  startTestServer,
  type TestServer,
  type Visitor,
  withWeakness,
} from '../testing/test-school';

/** What one school writes another never sees, and history is only ever added to. */

let server: TestServer;
let own: { schoolId: string; email: string; trainer: Visitor };
let other: { schoolId: string; trainer: Visitor };
beforeAll(async () => {
  server = await startTestServer();
  own = await server.school('Carrow Fell');
  other = await server.school('Harrow Bay');
});
afterAll(() => server.close());

const TABLES = [
  'accounts',
  'devices',
  'sessions',
  'invitations',
  'imports',
  'import_parts',
  'pilots',
  'craft',
  'sites',
  'flights',
  'flight_files',
  'flight_file_parts',
  'course_facts',
  'clearing_rules',
  'weaknesses',
  'weakness_checkpoints',
  'occurrences',
  'moves',
  'plans',
  'opening_stamps',
  'test_sets',
  'reps',
  'events',
  'debriefs',
  'experiences',
  'commands',
  'weakness_aliases',
  'search_words',
  'calendar_links',
  'api_tokens',
  'school_keys',
  'case_judgements',
  'training_sessions',
  'pilot_links',
  'drill_versions',
];

test('every table with a school has row-level security, and the working role cannot bypass it', async () => {
  const { rows } = (await server.db.raw(
    "select c.relname, c.relrowsecurity from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'school_id' where c.relkind = 'r' and not a.attisdropped",
  )) as { rows: { relname: string; relrowsecurity: boolean }[] };
  expect(rows.map((row) => row.relname).sort()).toEqual([...TABLES].sort());
  expect(rows.every((row) => row.relrowsecurity)).toBe(true);
  const role = (await server.db.raw(
    "select rolsuper, rolbypassrls, rolcanlogin from pg_roles where rolname = 'skelby_app'",
  )) as { rows: object[] };
  expect(role.rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcanlogin: true }]);
});

test('every key of a school begins with the school, but those that are looked up before one is known', async () => {
  const { rows } = (await server.db.raw(`
    select t.relname as of_table, i.relname as key,
      (select a.attname from pg_attribute a where a.attrelid = t.oid and a.attnum = x.indkey[0]) as begins_with
    from pg_index x
      join pg_class t on t.oid = x.indrelid
      join pg_class i on i.oid = x.indexrelid
      join pg_namespace n on n.oid = t.relnamespace
    where n.nspname = 'public' and x.indisunique
      and exists (select 1 from pg_attribute a where a.attrelid = t.oid and a.attname = 'school_id')`)) as {
    rows: { ofTable: string; key: string; beginsWith: string }[];
  };
  expect(rows.length).toBeGreaterThan(25);
  // The list of docs/scaling.md.
  expect(
    rows
      .filter(({ beginsWith }) => beginsWith !== 'school_id')
      .map(({ ofTable, beginsWith }) => `${ofTable}.${beginsWith}`)
      .sort(),
  ).toEqual([
    'api_tokens.token_hash',
    'calendar_links.token_hash',
    'invitations.token_hash',
    'pilot_links.token_hash',
    'sessions.token_hash',
  ]);
  const references = (await server.db.raw(`
    select c.conrelid::regclass::text as of_table, c.conname as name,
      (select a.attname from pg_attribute a where a.attrelid = c.conrelid and a.attnum = c.conkey[1]) as begins_with
    from pg_constraint c join pg_namespace n on n.oid = c.connamespace
    where n.nspname = 'public' and c.contype = 'f'`)) as { rows: { beginsWith: string }[] };
  expect(references.rows.length).toBeGreaterThan(40);
  expect(references.rows.filter(({ beginsWith }) => beginsWith !== 'school_id')).toEqual([]);
});

test('a query without any condition sees only the own school, and none before sign-in', async () => {
  await withWeakness(own.trainer);
  await withWeakness(other.trainer);
  for (const table of TABLES) {
    const schools = await inSchool(server.db, { schoolId: own.schoolId, accountId: null }, ({ tx }) =>
      tx(table).distinct('school_id').pluck('school_id'),
    );
    expect(schools.filter((schoolId) => schoolId !== own.schoolId)).toEqual([]);
    expect(
      await inSchool(server.db, { schoolId: NO_SCHOOL, accountId: null }, ({ tx }) =>
        tx(table).select('school_id'),
      ),
    ).toEqual([]);
  }
});

test('a row cannot be written into another school, nor refer to one there', async () => {
  await expect(
    inSchool(server.db, { schoolId: own.schoolId, accountId: null }, ({ tx }) =>
      tx('sites').insert({ schoolId: other.schoolId, id: id(), ...SITE }),
    ),
  ).rejects.toThrow(/row-level security/);
  const { pilotId } = await withWeakness(other.trainer);
  const { status, body } = await own.trainer.put(`/occurrences/${id()}`, occurrence(pilotId));
  expect(status).toBe(422);
  expect(body['detail']).toBe('There is no such pilot in your school: pick one from the list.');
});

test('the schools role ends with the transaction', async () => {
  await inSchool(server.db, { schoolId: own.schoolId, accountId: null }, ({ tx }) =>
    tx('pilots').select('id'),
  );
  const { rows } = (await server.db.raw(
    "select current_user <> 'skelby_app' as owner, current_setting('skelby.school', true) as school",
  )) as { rows: { owner: boolean; school: string | null }[] };
  expect(rows[0]!.owner).toBe(true);
  expect(rows[0]!.school || null).toBeNull();
});

test("another school's pilot, occurrence, weakness and rep are simply not there", async () => {
  const theirs = await withWeakness(other.trainer);
  const repId = id();
  await other.trainer.put(`/reps/${repId}`, rep(theirs.weaknessId));
  const asked = await Promise.all([
    own.trainer.get(`/pilots/${theirs.pilotId}`),
    own.trainer.get(`/occurrences/${theirs.occurrenceId}`),
    own.trainer.get(`/weaknesses/${theirs.weaknessId}`),
    own.trainer.put(`/occurrences/${theirs.occurrenceId}/confirmation`, confirmation()),
    own.trainer.put(`/reps/${id()}`, rep(theirs.weaknessId)),
    own.trainer.put(`/reps/${repId}/taken-back`, { reason: 'Mine now.' }),
    own.trainer.put(`/weaknesses/${theirs.weaknessId}/plans/${id()}`, {
      drillIds: ['tail-in-hover'],
      reason: 'Mine now.',
    }),
    own.trainer.get(`/pilots/${id()}`),
    own.trainer.get('/pilots/not-a-key'),
  ]);
  expect(asked.map((answer) => answer.status)).toEqual(asked.map(() => 404));
  expect(asked[0]!.body['detail']).toBe('There is no such pilot in your school.');
});

test('the same key in two schools is two rows: nobody learns what another school has', async () => {
  const key = id();
  expect((await other.trainer.put(`/craft/${key}`, { ...CRAFT, name: 'Theirs' })).status).toBe(200);
  expect((await own.trainer.put(`/craft/${key}`, { ...CRAFT, name: 'Ours' })).status).toBe(200);
  const names = async (who: Visitor) =>
    (await who.get<{ craft: { name: string }[] }>('/roster')).body.craft.map((craft) => craft.name);
  expect(await names(own.trainer)).toEqual(['Ours']);
  expect(await names(other.trainer)).toEqual(['Theirs']);
});

test.each(['events', 'moves', 'plans', 'debriefs'])(
  "%s are only ever added to, even by the database's owner",
  async (table) => {
    await withWeakness(own.trainer);
    await expect(server.db(table).update({ schoolId: own.schoolId })).rejects.toThrow(/only ever added to/);
    await expect(server.db(table).delete()).rejects.toThrow(/only ever added to/);
    await expect(
      inSchool(server.db, { schoolId: own.schoolId, accountId: null }, ({ tx }) => tx(table).delete()),
    ).rejects.toThrow(/permission denied|must be owner/);
  },
);

test('every change says who, when, what and why', async () => {
  const pilotId = id();
  await own.trainer.put(`/pilots/${pilotId}`, PILOT);
  await own.trainer.put(`/pilots/${pilotId}`, PILOT);
  await own.trainer.put(`/pilots/${pilotId}`, { ...PILOT, windLimitMps: 5 });
  const events = await server
    .db('events as e')
    .join('accounts as a', 'a.id', 'e.account_id')
    .where({ 'e.subject_id': pilotId })
    .orderBy('e.at')
    .select('e.action', 'e.data', 'e.at', 'a.name');
  expect(events).toMatchObject([
    { action: 'added', name: 'Trainer 1' },
    { action: 'changed', data: { windLimitMps: [2, 5] } },
  ]);
});

test('a new school comes with the clearing rule its first weakness needs', async () => {
  const schoolId = await addSchool(server.db, { name: 'Third' });
  expect(await server.db('clearing_rules').where({ schoolId })).toHaveLength(1);
});

describe('the role that the server logs in as', () => {
  const refused = (sql: string) =>
    expect(asServer.raw(sql)).rejects.toThrow(/permission denied|must be owner/);
  let asServer: Knex;
  beforeAll(() => {
    asServer = connect(server.appUrl);
  });
  afterAll(() => asServer.destroy());

  test('owns nothing, can become no other, and is what the server asks for', async () => {
    await expect(assertWorkingRole(asServer)).resolves.toBeUndefined();
    await expect(assertUpToDate(asServer)).resolves.toBeUndefined();
    await expect(assertWorkingRole(server.db)).rejects.toThrow(
      /is a superuser.*owns tables.*DATABASE_APP_URL/s,
    );
    const { rows } = (await server.db.raw('select current_user as owner')) as { rows: { owner: string }[] };
    await refused(`set role ${rows[0]!.owner}`);
    await refused('create table public.mine (n int)');
    await refused('alter table pilots disable row level security');
    await refused('drop policy own_school on pilots');
  });
  test('reads no password hash but through the function that signs in', async () => {
    await refused('select password_hash from accounts');
    await refused('select * from accounts');
    const { rows } = (await asServer.raw('select count(*) as n from accounts_by_email(?)', [own.email])) as {
      rows: { n: number }[];
    };
    expect(rows[0]!.n).toBe(1);
  });
  test('changes of a rep only what takes it back, deletes none, and cannot write another history', async () => {
    await refused('update reps set met = true');
    await refused("update reps set flown_at = now(), day = '2020-01-01'");
    await refused('delete from reps');
    await refused('delete from events');
    await refused("update moves set reason = 'mine'");
    await refused("update skelby_migrations set name = 'mine'");
  });
});
