/** The part of Knex's client for PostgreSQL that is built upon. It is not among the types that Knex has. */
declare module 'knex/lib/dialects/postgres/index.js' {
  import { Knex } from 'knex';

  interface Transacting {
    begin: (connection: unknown) => Promise<unknown>;
    query: (connection: unknown, sql: string) => Promise<unknown>;
  }
  export default class PgClient extends Knex.Client {
    transaction(
      container: unknown,
      config?: Knex.TransactionConfig,
      outerTx?: unknown,
    ): Transacting & Knex.Transaction;
  }
}
