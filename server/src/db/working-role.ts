import type { Knex } from 'knex';

/** Whom the server logs in as. */
export const WORKING_ROLE = 'skelby_app';

/** What a database of one's own needs, in the words of whoever runs it. */
export const TWO_ROLES = `Skelby needs two roles of a PostgreSQL that it did not make itself:
  the one that owns the database, for setting it up and for bringing it up to date; its address is DATABASE_URL;
  the one that the server logs in as, which owns nothing and can become no other; its address is DATABASE_APP_URL.
Ask whoever runs the database for:
  create role ${WORKING_ROLE} login nosuperuser nobypassrls nocreatedb nocreaterole password '…';
  grant ${WORKING_ROLE} to your owner;`;

/** What the role of this connection could do that the server never needs; empty: nothing. */
async function tooMuchOf(db: Knex): Promise<readonly string[]> {
  const { rows } = (await db.raw(`
    select r.rolname as name, r.rolsuper as "isSuper", r.rolbypassrls as "passesWalls",
      exists (select 1 from pg_class c where c.relowner = r.oid) as owns,
      (select string_agg(other.rolname, ', ') from pg_auth_members m join pg_roles other on other.oid = m.roleid
         where m.member = r.oid) as becomes
    from pg_roles r where r.rolname = current_user`)) as {
    rows: { name: string; isSuper: boolean; passesWalls: boolean; owns: boolean; becomes: string | null }[];
  };
  const { name, isSuper, passesWalls, owns, becomes } = rows[0]!;
  return [
    ...(isSuper ? [`${name} is a superuser`] : []),
    ...(passesWalls ? [`${name} can bypass row-level security`] : []),
    ...(owns ? [`${name} owns tables`] : []),
    ...(becomes ? [`${name} can become ${becomes}`] : []),
    ...(name === WORKING_ROLE ? [] : [`${name} is not ${WORKING_ROLE}, to which the tables are granted`]),
  ];
}

/** @throws Error that says which role it needs, when the connection is one that can do more than the server needs */
export async function assertWorkingRole(db: Knex): Promise<void> {
  const tooMuch = await tooMuchOf(db);
  if (tooMuch.length > 0)
    throw new Error(`The server does not log in as this role: ${tooMuch.join('; ')}.\n${TWO_ROLES}`);
}
