import knex, { type Knex } from 'knex';
import pg from 'pg';
import { OneTripClient } from './one-trip';
import { Share } from './share';

const DATE = 1082;
const TIMESTAMPTZ = 1184;
const BIGINT = 20;

// A day stays a day: parsed as a Date it would become midnight of the server's own time zone.
pg.types.setTypeParser(DATE, (value) => value);
pg.types.setTypeParser(TIMESTAMPTZ, (value) => new Date(value).toISOString());
pg.types.setTypeParser(BIGINT, Number);

/** Does it once for each name: there are a few hundred, and every row has its own copy of them. */
function once(change: (name: string) => string): (name: string) => string {
  const known = new Map<string, string>();
  return (name) => {
    let changed = known.get(name);
    if (changed === undefined) {
      changed = change(name);
      known.set(name, changed);
    }
    return changed;
  };
}

const toSnake = once((name) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`));
/** The name of a column, as the code has it. */
export const toCamel = once((name) => name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase()));

function camelKeys(row: unknown): unknown {
  if (row === null || typeof row !== 'object' || Array.isArray(row)) return row;
  const camel: Record<string, unknown> = {};
  // A loop: it runs for every row of every answer.
  for (const name in row) camel[toCamel(name)] = row[name as keyof typeof row];
  return camel;
}

/** What the work on some connections may take. */
export interface Lane {
  /** At once, of all schools and of one. */
  readonly connections: number;
  readonly ofOneSchool: number;
  /** Longer than this nobody waits for a connection, ms. */
  readonly waitMs: number;
  /** Longest statement, and longest wait for another's lock, ms. */
  readonly statementMs: number;
  readonly lockMs: number;
}

/** Longest time a transaction is left open with nothing to do, ms: whoever opened it has gone. */
export const IDLE_MS = 30_000;

/** What holds for a lane's transactions. */
export interface LaneRules {
  readonly lane: Lane;
  readonly share: Share;
}
const RULES = new WeakMap<Knex, LaneRules>();

/** What holds for the transactions on these connections; undefined: nothing, they are a tool's. */
export const rulesOf = (db: Knex): LaneRules | undefined => RULES.get(db);

/**
 * Columns are snake_case in the database and camelCase in the code; JSON inside a column is left alone.
 * @param lane what work on these connections may take; absent: all it wants
 */
export function connect(databaseUrl: string, lane?: Lane): Knex {
  const db = knex({
    client: OneTripClient,
    connection: databaseUrl,
    pool: { min: 0, max: lane?.connections ?? 10 },
    ...(lane ? { acquireConnectionTimeout: lane.waitMs } : {}),
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
  if (lane) RULES.set(db, { lane, share: new Share(lane.ofOneSchool, lane.waitMs) });
  return db;
}
