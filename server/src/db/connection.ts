import knex, { type Knex } from 'knex';
import pg from 'pg';

const DATE = 1082;
const TIMESTAMPTZ = 1184;
const BIGINT = 20;

// A day stays a day: parsed as a Date it would become midnight of the server's own time zone.
pg.types.setTypeParser(DATE, (value) => value);
pg.types.setTypeParser(TIMESTAMPTZ, (value) => new Date(value).toISOString());
pg.types.setTypeParser(BIGINT, Number);

const toSnake = (name: string) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const toCamel = (name: string) => name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());

const camelKeys = (row: unknown): unknown =>
  row !== null && typeof row === 'object' && !Array.isArray(row)
    ? Object.fromEntries(Object.entries(row).map(([name, value]) => [toCamel(name), value]))
    : row;

/** Columns are snake_case in the database and camelCase in the code; JSON inside a column is left alone. */
export function connect(databaseUrl: string): Knex {
  return knex({
    client: 'pg',
    connection: databaseUrl,
    pool: { min: 0, max: 10 },
    // What Knex would print here it also throws.
    log: { warn: () => {}, error: () => {} },
    wrapIdentifier: (name, original) => (name === '*' ? name : original(toSnake(name))),
    postProcessResponse: (result: unknown) => {
      if (Array.isArray(result)) return result.map(camelKeys);
      if (result !== null && typeof result === 'object' && 'rows' in result && Array.isArray(result.rows)) {
        return { ...result, rows: result.rows.map(camelKeys) };
      }
      return camelKeys(result);
    },
  });
}
