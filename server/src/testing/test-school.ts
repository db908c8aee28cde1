import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Knex } from 'knex';
import pg from 'pg';
import { pino } from 'pino';
import { v7 as uuid } from 'uuid';
import { application } from '../application';
import { addSchool, addTrainer } from '../db/add-school';
import { connect } from '../db/connection';
import { type Changes, openChanges } from '../db/changes';
import { type Jobs, openJobs } from '../db/jobs';
import { type Lanes, openLanes } from '../db/lanes';
import { migrate } from '../db/migrate';
import { workOnImports } from '../exchange/work-on-import';
import { live } from '../http/live';
import { InFlight } from '../http/requests';

const PASSWORD = 'a long enough password';

export interface Answer<T = Record<string, unknown>> {
  readonly status: number;
  readonly headers: Headers;
  readonly body: T;
}

/** A trainer with a session, talking to the real server over HTTP. */
export class Visitor {
  cookie = '';

  constructor(private readonly base: string) {}

  async ask<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(this.base + path, {
      method,
      headers: {
        Origin: this.base,
        Cookie: this.cookie,
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    for (const set of response.headers.getSetCookie()) this.keep(set.split(';')[0]!);
    const text = await response.text();
    return {
      status: response.status,
      headers: response.headers,
      body: (text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : { text }) as T,
    };
  }

  /** Takes a cookie in the place of one of that name. */
  private keep(cookie: string): void {
    const name = `${cookie.split('=')[0]!}=`;
    const others = this.cookie.split('; ').filter((each) => each !== '' && !each.startsWith(name));
    this.cookie = [cookie, ...others].join('; ');
  }

  get<T = Record<string, unknown>>(path: string) {
    return this.ask<T>('GET', `/api${path}`);
  }
  put<T = Record<string, unknown>>(path: string, body: unknown) {
    return this.ask<T>('PUT', `/api${path}`, body);
  }

  /** A file as it comes, with what is said of it. */
  file(path: string): Promise<Response> {
    return fetch(this.base + path, { headers: { Cookie: this.cookie } });
  }

  /** A file of text as it comes. */
  async raw(path: string): Promise<string> {
    return (await this.file(path)).text();
  }

  async signIn(email: string, password = PASSWORD): Promise<this> {
    const { status } = await this.ask('POST', '/api/sign-in', { email, password });
    if (status !== 200) throw new Error(`Sign-in answered ${status}.`);
    return this;
  }
}

export interface TestServer {
  readonly db: Knex;
  /** Address of the database, as its owner and as the server logs in. */
  readonly url: string;
  readonly appUrl: string;
  readonly base: string;
  /** Connections of the first server. */
  readonly lanes: Lanes;
  /** Another server on the same database, behind so many proxies, set otherwise; its address. */
  readonly another: (proxies?: number, set?: { readonly flightBytes?: number }) => Promise<string>;
  readonly visitor: () => Visitor;
  /** Makes a school with a trainer, and signs them in. */
  readonly school: (name: string) => Promise<{ schoolId: string; email: string; trainer: Visitor }>;
  /** Another trainer of that school, signed in. */
  readonly colleague: (schoolId: string) => Promise<Visitor>;
  readonly close: () => Promise<void>;
}

export interface TestServerOptions {
  readonly appFolder?: string;
  readonly isStopping?: () => boolean;
  /** A dump to start from, as SQL. */
  readonly restore?: string;
  readonly beforeMigrating?: (db: Knex) => Promise<void>;
}

/** Restores over a connection of its own, since a dump changes the settings of the one it runs on. */
async function restore(url: string, dump: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(
      'do $$ begin create role skelby_app nologin; exception when duplicate_object or unique_violation then null; end $$',
    );
    await client.query(dump);
  } finally {
    await client.end();
  }
}

const IDLE_MS = 65_000;

/** The real server on a database of its own, in the throwaway cluster that `./skelby test` starts. */
export async function startTestServer(options: TestServerOptions = {}): Promise<TestServer> {
  const cluster = process.env['TEST_CLUSTER_URL'];
  if (!cluster) throw new Error('Server tests need a database: run them with ./skelby test --only unit');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = connect(cluster);
  await admin.raw('create database ??', [name]);
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  if (options.restore) await restore(url.href, options.restore);
  const db = connect(url.href);
  await options.beforeMigrating?.(db);
  await migrate(db);
  // The server works as in earnest: by a connection that owns nothing. Tests look at the tables as the owner.
  const working = new URL(process.env['TEST_CLUSTER_APP_URL'] ?? '');
  working.pathname = `/${name}`;
  const running: {
    readonly server: Server;
    readonly lanes: Lanes;
    readonly jobs: Jobs;
    readonly changes: Changes;
  }[] = [];
  /** Starts a server of its own on this database. @returns its address */
  const another: TestServer['another'] = async (proxies = 0, set = {}) => {
    const lanes = openLanes(working.href);
    const log = pino({ level: process.env['TEST_LOG'] ?? 'silent' });
    const jobs = await openJobs(working.href, () => undefined);
    const changes = await openChanges(working.href, lanes.asked, () => undefined);
    const streams = live(lanes.asked, changes);
    await workOnImports(jobs, { files: lanes.files, changes, log, isStopping: () => false });
    const app = application({
      lanes,
      jobs,
      changes,
      live: streams,
      log,
      appFolder: options.appFolder ?? '/nowhere',
      isStopping: options.isStopping ?? (() => false),
      inFlight: new InFlight(),
      proxies,
      ...set,
    });
    const server = app.listen(0, '127.0.0.1');
    // A visitor who rests between two tests must not find the connection closing just then.
    server.keepAliveTimeout = IDLE_MS;
    running.push({ server, lanes, jobs, changes });
    await new Promise((resolve) => {
      server.once('listening', resolve);
    });
    return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  };
  const base = await another();
  let made = 0;
  return {
    db,
    url: url.href,
    appUrl: working.href,
    base,
    lanes: running[0]!.lanes,
    another,
    visitor: () => new Visitor(base),
    school: async (schoolName) => {
      made += 1;
      const email = `trainer${made}@school.example`;
      const schoolId = await addSchool(db, { name: schoolName });
      await addTrainer(db, schoolId, { name: `Trainer ${made}`, email, password: PASSWORD });
      return { schoolId, email, trainer: await new Visitor(base).signIn(email) };
    },
    colleague: async (schoolId) => {
      made += 1;
      const email = `trainer${made}@school.example`;
      await addTrainer(db, schoolId, { name: `Trainer ${made}`, email, password: PASSWORD });
      return new Visitor(base).signIn(email);
    },
    close: async () => {
      for (const { server, lanes, jobs, changes } of running) {
        server.closeAllConnections();
        await new Promise((resolve) => {
          server.close(resolve);
        });
        await jobs.close();
        await changes.close();
        await lanes.close();
      }
      await db.destroy();
      await admin.raw('drop database if exists ?? with (force)', [name]);
      await admin.destroy();
    },
  };
}

export const id = uuid;

export const PILOT = {
  name: 'Tove Lindqvane',
  stickLayout: 2,
  mode: 'position-hold',
  windLimitMps: 2,
  note: '',
};
export const CRAFT = {
  name: 'Hover 1',
  mode: 'position-hold',
  massKg: 0.9,
  spanM: 0.35,
  rotors: 4,
  rotorRadiusM: 0.105,
  thrustToWeight: 1.9,
  topSpeedMps: 15,
  hasPauseSwitch: true,
  note: '',
};
export const SITE = { name: 'Merrow Moor', place: 'open', tallestM: 9, note: '' };

export const occurrence = (pilotId: string, more: object = {}) => ({
  pilotId,
  kind: 'crash',
  causeId: 'overcontrol',
  note: 'Chased the mark.',
  craftId: null,
  siteId: null,
  windMps: null,
  happenedAt: '2026-03-02T09:00:00.000Z',
  day: '2026-03-02',
  ...more,
});

export const confirmation = (more: object = {}) => ({
  causeId: 'overcontrol',
  weaknessId: id(),
  moveId: id(),
  planId: id(),
  at: '2026-03-02T09:30:00.000Z',
  ...more,
});

export const rep = (weaknessId: string, more: object = {}) => ({
  weaknessId,
  drillId: 'tail-in-hover',
  purpose: 'test',
  met: true,
  missReason: null,
  side: null,
  band: 'calm',
  flownOn: 'craft',
  mode: 'position-hold',
  pilotRelative: false,
  pack: 1,
  day: '2026-03-03',
  flownAt: '2026-03-03T10:00:00.000Z',
  ...more,
});

/** A pilot with one occurrence that nobody has debriefed. */
export async function withOccurrence(
  trainer: Visitor,
  more: object = {},
): Promise<{ pilotId: string; occurrenceId: string }> {
  const [pilotId, occurrenceId] = [id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId, more));
  return { pilotId, occurrenceId };
}

/** A pilot with one open weakness, logged and confirmed over the API. */
export async function withWeakness(
  trainer: Visitor,
  causeId = 'overcontrol',
): Promise<{ pilotId: string; occurrenceId: string; weaknessId: string }> {
  const { pilotId, occurrenceId } = await withOccurrence(trainer);
  const { body } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation({ causeId }),
  );
  return { pilotId, occurrenceId, weaknessId: body.weaknessId };
}
