import type { Knex } from 'knex';
import { loadDemo } from '../demo/load';
import { startTestServer, type TestServer } from '../testing/test-school';
import { connect } from './connection';
import { inSchool } from './in-school';
import { assertUpToDate, migrate } from './migrate';
import { down as undoLast } from './migrations/042-seen-in-video';

/** One's own PostgreSQL: a database user who owns one database and is no superuser. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('a plain owner is told what to ask for, and with that everything works behind the same walls', async () => {
  const user = `plain_${Date.now()}`;
  await server.db.raw("create role ?? login password 'plain' nosuperuser nocreaterole", [user]);
  await server.db.raw('create database ?? owner ??', [user, user]);
  const url = new URL(server.url);
  Object.assign(url, { username: user, password: 'plain', pathname: `/${user}` });
  const own = connect(url.href);
  try {
    await expect(migrate(own)).rejects.toThrow(
      /may not make or use the role skelby_app .*two roles.*DATABASE_APP_URL.*create role skelby_app login/s,
    );
    await server.db.raw('grant skelby_app to ??', [user]);
    await migrate(own);
    await migrate(own);
    await loadDemo(own, new Date());
    const { id: schoolId } = (await own('schools').first('id')) as { id: string };
    const see = (school: string) =>
      inSchool(own, { schoolId: school, accountId: null }, ({ tx }) => tx('pilots').select('id'));
    expect(await see(schoolId)).toHaveLength(9);
    expect(await see('01900000-0000-7000-8000-000000000001')).toHaveLength(0);
  } finally {
    await own.destroy();
    await server.db.raw('drop database ?? with (force)', [user]);
    await server.db.raw('drop role ??', [user]);
  }
}, 180_000);

test('a role that could see past the walls is refused', async () => {
  await server.db.raw('alter role skelby_app bypassrls');
  try {
    await expect(migrate(server.db)).rejects.toThrow('alter role skelby_app nosuperuser nobypassrls');
  } finally {
    await server.db.raw('alter role skelby_app nobypassrls');
  }
});

describe('bringing a database up to date', () => {
  async function onNew(work: (fresh: () => Knex, name: string) => Promise<void>) {
    const name = `fresh_${Date.now()}`;
    await server.db.raw('create database ??', [name]);
    const url = new URL(server.url);
    url.pathname = `/${name}`;
    const open: Knex[] = [];
    const fresh = () => {
      const db = connect(url.href);
      open.push(db);
      return db;
    };
    try {
      await work(fresh, name);
    } finally {
      await Promise.all(open.map((db) => db.destroy()));
      await server.db.raw('drop database ?? with (force)', [name]);
    }
  }

  test('three that start at once on an empty database all come up', async () => {
    await onNew(async (fresh) => {
      await Promise.all([migrate(fresh()), migrate(fresh()), migrate(fresh())]);
      await expect(assertUpToDate(fresh())).resolves.toBeUndefined();
    });
  }, 180_000);
  test('a start that was killed while it held the lock keeps no later one out', async () => {
    await onNew(async (fresh) => {
      const db = fresh();
      await expect(assertUpToDate(db)).rejects.toThrow(/stands at nothing.*\.\/skelby migrate/);
      await migrate(db);
      await db('skelby_migrations_lock').update({ is_locked: 1 });
      await db('skelby_migrations').where({ name: '042-seen-in-video' }).delete();
      await undoLast(db);
      await expect(assertUpToDate(db)).rejects.toThrow(/stands at 041/);
      await migrate(fresh());
      await expect(assertUpToDate(db)).resolves.toBeUndefined();
    });
  }, 180_000);
});
