import type { Knex } from 'knex';
import PgClient from 'knex/lib/dialects/postgres/index.js';

interface OneTripConfig extends Knex.TransactionConfig {
  readonly begins?: string;
}

/**
 * Configuration of a transaction that begins with a statement of ours in the same trip as its BEGIN: every request has one,
 * and a trip costs more than the statement.
 * @param begins with nothing in it that comes from outside
 */
export const beginningWith = (begins: string): OneTripConfig => ({ begins });

/** Knex's own client for PostgreSQL, but for how such a transaction begins. */
export class OneTripClient extends PgClient {
  override transaction(
    container: unknown,
    config?: OneTripConfig,
    outerTx?: unknown,
  ): ReturnType<PgClient['transaction']> {
    const tx = super.transaction(container, config, outerTx);
    const begins = config?.begins;
    // It begins once whoever asked for it has it.
    if (begins !== undefined) tx.begin = (connection) => tx.query(connection, `BEGIN; ${begins};`);
    return tx;
  }
}
