import { loadDemo } from '../demo/load';
import { startTestServer, type TestServer } from '../testing/test-school';
import { connect } from './connection';
import { inSchool } from './in-school';
import { migrate } from './migrate';

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
      /may not make or use the role skelby_app .*Ask whoever runs the database for: create role skelby_app/s,
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
}, 60_000);

test('a role that could see past the walls is refused', async () => {
  await server.db.raw('alter role skelby_app bypassrls');
  try {
    await expect(migrate(server.db)).rejects.toThrow('alter role skelby_app nosuperuser nobypassrls');
  } finally {
    await server.db.raw('alter role skelby_app nobypassrls');
  }
});
