import type { Knex } from 'knex';
import { connect, type Lane } from './connection';

const ASKED: Lane = { connections: 10, ofOneSchool: 6, waitMs: 3_000, statementMs: 15_000, lockMs: 5_000 };
const AHEAD: Lane = { connections: 3, ofOneSchool: 2, waitMs: 20_000, statementMs: 30_000, lockMs: 5_000 };
const FILES: Lane = { connections: 2, ofOneSchool: 1, waitMs: 20_000, statementMs: 60_000, lockMs: 10_000 };

/**
 * Ways to the database, each with connections of its own, so that what may wait never holds up what somebody
 * waits for: what is asked, what is fetched ahead or written out, and what is brought in from files.
 */
export interface Lanes {
  readonly asked: Knex;
  readonly ahead: Knex;
  readonly files: Knex;
  readonly close: () => Promise<void>;
}

/** @param url as the role that the server logs in as */
export function openLanes(url: string): Lanes {
  const lanes = { asked: connect(url, ASKED), ahead: connect(url, AHEAD), files: connect(url, FILES) };
  return {
    ...lanes,
    close: async () => {
      await Promise.all([lanes.asked, lanes.ahead, lanes.files].map((lane) => lane.destroy()));
    },
  };
}
