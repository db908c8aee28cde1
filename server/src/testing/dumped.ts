import type { Knex } from 'knex';

/** Every row of every table as text: what a dump of the database holds. @param db as its owner */
export async function dumped(db: Knex): Promise<string> {
  const { rows: tables } = (await db.raw(
    "select tablename as name from pg_tables where schemaname = 'public'",
  )) as { rows: { name: string }[] };
  const texts = await Promise.all(
    tables.map(async ({ name }) => {
      const { rows } = (await db.raw('select to_jsonb(t)::text as row from ?? t', [name])) as {
        rows: { row: string }[];
      };
      return rows.map(({ row }) => row).join('\n');
    }),
  );
  return texts.join('\n');
}
