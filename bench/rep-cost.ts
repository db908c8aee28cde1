import http from 'node:http';
import { recordRep } from '../core/src/commands/record-rep';
import { addDays } from '../core/src/vocabulary/day';
import { v7 as uuid } from 'uuid';
import { connect } from '../server/src/db/connection';
import { inSchool } from '../server/src/db/in-school';
import { carryOut } from '../server/src/commands/carry-out';
import { rep, type TestServer, type Visitor, withWeakness } from '../server/src/testing/test-school';
import { withServer } from './with-server';
import { A_DAY, fillWithReps, openedLongAgo } from './flown-long';

/** What one rep costs beside a bare insert in the same run, for pilots with ever more reps behind them. */

const SIZES = [20, 1_000, 10_000] as const;
const ROUNDS = 60;
const WARM_UP = 5;
const FIRST_DAY = '2026-03-04';

interface RepCost extends Transaction {
  readonly behind: number;
  /** Medians, ms: a bare insert with commit, and one rep end to end. */
  readonly insertMs: number;
  readonly endToEndMs: number;
  /** The least that a request of somebody signed in costs: who asks, and the units of the school. */
  readonly askedMs: number;
  /** Ratios of medians to the bare insert, with the middle 90 % of ratios of pairs drawn again. */
  readonly ratioOfDatabase: Ratio;
  readonly ratioEndToEnd: Ratio;
}
type Ratio = { readonly is: number; readonly from: number; readonly to: number };

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Ratio of medians of pairs, with its interval by drawing the pairs again (Efron 1979). */
function ratio(of: readonly number[], to: readonly number[]): Ratio {
  const drawn = Array.from({ length: 400 }, () => {
    const at = of.map(() => Math.floor(Math.random() * of.length));
    return median(at.map((i) => of[i]!)) / median(at.map((i) => to[i]!));
  }).sort((a, b) => a - b);
  return { is: median(of) / median(to), from: drawn[20]!, to: drawn[379]! };
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const started = performance.now();
  await work();
  return performance.now() - started;
}

/** The transaction of one rep, in this process. */
interface Transaction {
  /** Waiting for the database, ms. */
  readonly databaseMs: number;
  /** Begin and commit among them. */
  readonly statements: number;
  /** Processor time, ms. */
  readonly cpuMs: number;
}

interface Whose {
  readonly schoolId: string;
  readonly pilotId: string;
  readonly weaknessId: string;
}

/** Connections that count what is asked of them, and how long it takes. */
function counting(url: string) {
  const db = connect(url);
  const counted = { statements: 0, databaseMs: 0 };
  const began = new Map<string, number>();
  db.on('query', ({ __knexQueryUid: key }: { __knexQueryUid: string }) => {
    counted.statements += 1;
    began.set(key, performance.now());
  });
  db.on('query-response', (_: unknown, { __knexQueryUid: key }: { __knexQueryUid: string }) => {
    counted.databaseMs += performance.now() - began.get(key)!;
  });
  return { db, counted };
}

/** Over a connection that is kept open; as little of the client as can be. */
const agent = new http.Agent({ keepAlive: true });
const send = (method: 'GET' | 'PUT', address: string, cookie: string, body = ''): Promise<void> =>
  new Promise((resolve, reject) => {
    const headers = {
      ...{ Cookie: cookie, Origin: new URL(address).origin },
      ...(body === '' ? {} : { 'Content-Type': 'application/json' }),
    };
    http
      .request(address, { method, headers, agent }, (answer) => {
        if (answer.statusCode !== 200) reject(new Error(`A rep was answered ${answer.statusCode}.`));
        answer.resume().once('end', resolve);
      })
      .once('error', reject)
      .end(body);
  });

/** A rep as a bare row, as a transaction of ours, and over the network. */
function waysToRecord(server: TestServer, trainer: Visitor, { schoolId, pilotId, weaknessId }: Whose) {
  const { db, counted } = counting(server.appUrl);
  let nth = 0;
  const next = () => {
    nth += 1;
    const day = addDays(FIRST_DAY, Math.floor(nth / A_DAY));
    return rep(weaknessId, {
      ...{ purpose: 'practice', day },
      flownAt: new Date(Date.parse(`${day}T06:00:00Z`) + (nth % A_DAY) * 60_000).toISOString(),
    });
  };
  return {
    insert: async () => {
      await server.db('reps').insert({ schoolId, id: uuid(), pilotId, ...next() });
    },
    transaction: async (): Promise<Transaction> => {
      [counted.statements, counted.databaseMs] = [0, 0];
      const cpu = process.cpuUsage();
      await inSchool(db, { schoolId, accountId: null, role: 'trainer' }, (school) =>
        carryOut(school, recordRep, { id: uuid() }, next()),
      );
      const { user, system } = process.cpuUsage(cpu);
      return { ...counted, cpuMs: (user + system) / 1000 };
    },
    asked: () => send('GET', `${server.base}/api/me`, trainer.cookie),
    endToEnd: () => send('PUT', `${server.base}/api/reps/${uuid()}`, trainer.cookie, JSON.stringify(next())),
    close: async () => {
      agent.destroy();
      await db.destroy();
    },
  };
}

async function costWith(server: TestServer, behind: number): Promise<RepCost> {
  const { trainer, schoolId } = await server.school(`With ${behind}`);
  const { pilotId, weaknessId } = await withWeakness(trainer);
  await openedLongAgo(server, weaknessId);
  await fillWithReps(server, weaknessId, behind);
  await server.db.raw('analyze reps; analyze test_sets');
  const { insert, transaction, asked, endToEnd, close } = waysToRecord(server, trainer, {
    schoolId,
    pilotId,
    weaknessId,
  });
  const rounds: (Transaction & Record<'insertMs' | 'askedMs' | 'endToEndMs', number>)[] = [];
  // By turns, so that whatever else the machine does comes over all of them alike.
  for (let i = 0; i < WARM_UP + ROUNDS; i += 1)
    rounds.push({
      insertMs: await timed(insert),
      ...(await transaction()),
      askedMs: await timed(asked),
      endToEndMs: await timed(endToEnd),
    });
  await close();
  const all = (what: keyof (typeof rounds)[number]) => rounds.slice(WARM_UP).map((round) => round[what]);
  const middle = (what: keyof (typeof rounds)[number]) => median(all(what));
  return {
    behind,
    insertMs: middle('insertMs'),
    askedMs: middle('askedMs'),
    endToEndMs: middle('endToEndMs'),
    databaseMs: middle('databaseMs'),
    statements: middle('statements'),
    cpuMs: middle('cpuMs'),
    ratioOfDatabase: ratio(all('databaseMs'), all('insertMs')),
    ratioEndToEnd: ratio(all('endToEndMs'), all('insertMs')),
  };
}

const show = ({ is, from, to }: Ratio): string => `${is.toFixed(1)} (${from.toFixed(1)} to ${to.toFixed(1)})`;
const ms = (value: number): string => `${value.toFixed(1)} ms`;

/** Measures every size on a server and a database of its own. */
export const sayRepCost = (): Promise<string> =>
  withServer(async (server) => {
    const lines: string[] = [];
    for (const size of SIZES) {
      const cost = await costWith(server, size);
      lines.push(
        `| ${size} | ${ms(cost.insertMs)} | ${cost.statements} | ${ms(cost.databaseMs)} | ${show(cost.ratioOfDatabase)} | ${ms(cost.cpuMs)} | ${ms(cost.endToEndMs)} | ${show(cost.ratioEndToEnd)} | ${ms(cost.askedMs)} |`,
      );
    }
    return [
      '| reps behind | a bare insert | statements of a rep | database | times the insert | processor | end to end | times the insert | a request that only says who asks |',
      '| --- | --- | --- | --- | --- | --- | --- | --- | --- |',
      ...lines,
    ].join('\n');
  });
