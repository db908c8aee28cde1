import { UUID } from '@skelby/core/vocabulary/key';
import type { Knex } from 'knex';
import pg from 'pg';

/**
 * Tells all servers on one database that something of a school changed: outside the transaction that changed it, since a
 * NOTIFY in it would take a lock at commit that all commits wait for; and of one school at most once a second.
 */

const CHANNEL = 'skelby_changes';
const AT_MOST_EVERY_MS = 1_000;
const TRIES_AGAIN_MS = 1_000;
/** By nobody in particular, or by several. */
const NOBODY = '-';

export interface SchoolChange {
  readonly schoolId: string;
  /** The session whose entry it was; null: another's, or several. */
  readonly sessionId: string | null;
}

/** Null: the line was down, and anything may have changed. */
type Hears = (change: SchoolChange | null) => void;

export interface Changes {
  /** Something was changed and committed. */
  readonly tell: (change: SchoolChange) => void;
  readonly hear: (hears: Hears) => void;
  readonly close: () => Promise<void>;
}

/** What of one school is still to be told. */
interface Due {
  sessionId: string | null;
  /** Set: it is told when this ends. */
  timer: NodeJS.Timeout | null;
  lastAt: number;
}

function changeIn(payload: string | undefined): SchoolChange | null {
  const [schoolId = '', sessionId = NOBODY] = (payload ?? '').split(' ');
  return UUID.test(schoolId) ? { schoolId, sessionId: sessionId === NOBODY ? null : sessionId } : null;
}

/** The connection that listens; a server has one, which comes back by itself. */
class Line {
  private client: pg.Client | null = null;
  private again: NodeJS.Timeout | null = null;
  private closed = false;
  hears: Hears = () => {};

  constructor(
    private readonly url: string,
    private readonly onError: (error: Error) => void,
  ) {}

  async open(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url, keepAlive: true });
    client.on('error', this.onError);
    client.on('end', () => this.lost());
    client.on('notification', ({ payload }) => {
      const change = changeIn(payload);
      if (change) this.hears(change);
    });
    this.client = client;
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
  }

  private lost(): void {
    if (this.closed || this.again) return;
    this.again = setTimeout(() => {
      this.again = null;
      this.open().then(
        () => this.hears(null),
        (error: Error) => {
          this.onError(error);
          this.lost();
        },
      );
    }, TRIES_AGAIN_MS);
  }

  async close(): Promise<void> {
    this.closed = true;
    if (this.again) clearTimeout(this.again);
    await this.client?.end().catch(this.onError);
  }
}

/**
 * @param url of the database itself, not of a pooler in transaction mode: what listens needs a connection of its own
 * @param db what is told through
 */
export async function openChanges(url: string, db: Knex, onError: (error: Error) => void): Promise<Changes> {
  const line = new Line(url, onError);
  await line.open();
  const schools = new Map<string, Due>();
  const send = (schoolId: string, due: Due) => {
    due.timer = null;
    due.lastAt = Date.now();
    db.raw('select pg_notify(?, ?)', [CHANNEL, `${schoolId} ${due.sessionId ?? NOBODY}`]).catch(onError);
  };
  return {
    tell: ({ schoolId, sessionId }) => {
      const due = schools.get(schoolId) ?? { sessionId, timer: null, lastAt: 0 };
      schools.set(schoolId, due);
      if (due.timer) {
        if (due.sessionId !== sessionId) due.sessionId = null;
        return;
      }
      due.sessionId = sessionId;
      const wait = due.lastAt + AT_MOST_EVERY_MS - Date.now();
      if (wait <= 0) send(schoolId, due);
      else due.timer = setTimeout(() => send(schoolId, due), wait);
    },
    hear: (hears) => {
      line.hears = hears;
    },
    close: async () => {
      for (const { timer } of schools.values()) if (timer) clearTimeout(timer);
      await line.close();
    },
  };
}
