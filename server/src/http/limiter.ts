import type { Knex } from 'knex';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';

/** What is counted under one name in the table of limits, so that every server sees the same. */
export const limiterIn = (
  db: Knex,
  keyPrefix: string,
  points: number,
  duration: number,
): RateLimiterPostgres =>
  new RateLimiterPostgres({
    storeClient: db,
    storeType: 'knex',
    tableName: 'sign_in_limits',
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix,
    points,
    duration,
  });

/** Counts one more. @returns how long to wait, ms; null: it is within the limit */
export async function consumed(limiter: RateLimiterPostgres, key: string): Promise<number | null> {
  try {
    await limiter.consume(key);
    return null;
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused;
    return refused.msBeforeNext;
  }
}
