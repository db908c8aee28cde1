import { connect } from '../server/src/db/connection';
import { inSchool } from '../server/src/db/in-school';
import type { TestServer, Visitor } from '../server/src/testing/test-school';
import { databaseMs } from './processor-time';

/** What one page costs: statements, buffers that they look at, and processor time of server and database. */

const ASKED = 30;

export interface PageCost {
  readonly statements: number;
  readonly buffers: number;
  readonly cpuMs: number;
}

type Plan = {
  readonly Plan: { readonly 'Shared Hit Blocks': number; readonly 'Shared Read Blocks': number };
};

/** Buffers of statements that were asked, asked again under the same settings. */
async function buffersOf(
  url: string,
  schoolId: string,
  asked: readonly { readonly sql: string; readonly bindings: readonly unknown[] }[],
): Promise<number> {
  const db = connect(url);
  let buffers = 0;
  try {
    await inSchool(db, { schoolId, accountId: null }, async ({ tx }) => {
      for (const { sql, bindings } of asked) {
        // The first time a connection reads of tables and functions what it then knows.
        for (const isKnown of [false, true]) {
          const { rows } = (await tx.raw(
            `explain (analyze, buffers, format json) ${sql.replace(/\$\d+/g, '?')}`,
            bindings as never,
          )) as { rows: Record<string, readonly Plan[]>[] };
          const plan = Object.values(rows[0]!)[0]![0]!.Plan;
          if (isKnown) buffers += plan['Shared Hit Blocks'] + plan['Shared Read Blocks'];
        }
      }
    });
  } finally {
    await db.destroy();
  }
  return buffers;
}

export type AskPage = (visitor: Visitor) => Promise<{ readonly status: number }>;

export async function costOf(
  server: TestServer,
  visitor: Visitor,
  schoolId: string,
  ask: AskPage,
): Promise<PageCost> {
  const asked: { sql: string; bindings: unknown[] }[] = [];
  const note = ({ sql, bindings }: { sql: string; bindings: unknown[] }) => {
    if (/^\s*(select|with|insert|update)/i.test(sql) && !sql.includes('set_config'))
      asked.push({ sql, bindings });
  };
  for (let i = 0; i < 5; i += 1) await ask(visitor);
  const { asked: pages, ahead } = server.lanes;
  for (const lane of [pages, ahead]) lane.on('query', note);
  const { status } = await ask(visitor);
  for (const lane of [pages, ahead]) lane.off('query', note);
  if (status !== 200) throw new Error(`A page was answered ${status}.`);
  const [cpu, database] = [process.cpuUsage(), databaseMs()];
  for (let i = 0; i < ASKED; i += 1) await ask(visitor);
  const { user, system } = process.cpuUsage(cpu);
  const cpuMs = ((user + system) / 1_000 + databaseMs() - database) / ASKED;
  return { statements: asked.length, buffers: await buffersOf(server.appUrl, schoolId, asked), cpuMs };
}
