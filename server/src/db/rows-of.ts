import DataLoader from 'dataloader';
import type { Knex } from 'knex';
import { fromJson } from './from-json';
import { preparedAs } from './prepared';

type Query = Knex.QueryBuilder | Knex.Raw;
type Rows = readonly unknown[];

/**
 * Several questions in one statement, each answered as JSON in a column of its own: a page that is made of fifteen
 * lists waits for the database once.
 */
async function together(tx: Knex.Transaction, queries: readonly Query[]): Promise<readonly Rows[]> {
  if (queries.length === 1) {
    // Not prepared: with a column more, after a migration, a plan that was kept would give other rows than it promised.
    const answer = (await queries[0]) as Rows | { readonly rows: Rows };
    return ['rows' in answer ? answer.rows : answer];
  }
  const columns = queries.map(
    (_, i) => `(select coalesce(json_agg(row_to_json(q${i})), '[]') from (?) q${i}) as q${i}`,
  );
  const statement = tx.raw(`select ${columns.join(', ')}`, queries as Knex.RawBinding[]);
  // Planning so many lists costs more than reading them.
  const { rows } = (await statement.options(preparedAs(statement.toSQL().sql))) as {
    rows: Readonly<Record<string, Rows>>[];
  };
  return queries.map((_, i) => fromJson(rows[0]![`q${i}`]!));
}

const askers = new WeakMap<Knex.Transaction, DataLoader<Query, Rows>>();

/**
 * The rows of a query. What is asked for before anything is waited for goes to the database in one statement.
 * @param query a select, whose text is the same whatever is asked for; of its columns instants are named as in `from-json`
 */
export function rowsOf<Row>(tx: Knex.Transaction, query: Query): Promise<readonly Row[]> {
  let asker = askers.get(tx);
  if (!asker) {
    asker = new DataLoader((queries) => together(tx, queries), { cache: false });
    askers.set(tx, asker);
  }
  return asker.load(query) as Promise<readonly Row[]>;
}
