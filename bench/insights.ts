import { reportOf } from '@skelby/core/insights/report';
import type { InsightsPage } from '@skelby/core/pages/insights';
import { withWeakness } from '../server/src/testing/test-school';
import { fillSchool } from './hundredfold';
import { costOf } from './page-cost';
import { withServer } from './with-server';

/** What it costs to tell a school of itself. */

/** A hundred times the records of a small school, and five times the flights of that again: 10 000 and 2 000. */
const [TIMES, MORE_FLIGHTS] = [100, 8_000];
const ASKED = 11;

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1]!;

/** In words, a line each: what, and the figure. */
export const sayInsights = (): Promise<readonly (readonly [what: string, figure: string])[]> =>
  withServer(async (server) => {
    const { trainer, schoolId } = await server.school('Insight');
    const { pilotId } = await withWeakness(trainer);
    await fillSchool(server, pilotId, TIMES);
    await server.db.raw(
      `insert into flights (school_id, id, pilot_id, craft_id, site_id, day, packs, minutes, wind_mps)
       select school_id, gen_random_uuid(), pilot_id, craft_id, site_id, current_date - (i % 1000)::int, 1, 8, i % 7
         from (select * from flights where school_id = ? limit 1) f, generate_series(1, ${MORE_FLIGHTS}) i`,
      [schoolId],
    );
    await server.db.raw('vacuum analyze');
    const ask = () => trainer.get<InsightsPage>('/insights?months=36');
    const { statements, cpuMs } = await costOf(server, trainer, schoolId, ask);
    const wall: number[] = [];
    for (let i = 0; i < ASKED; i += 1) {
      const began = performance.now();
      await ask();
      wall.push(performance.now() - began);
    }
    const { body } = await ask();
    const worked: number[] = [];
    for (let i = 0; i < ASKED; i += 1) {
      const began = performance.now();
      reportOf(body);
      worked.push(performance.now() - began);
    }
    const happened = body.months.reduce((sum, { crashes, nearMisses }) => sum + crashes + nearMisses, 0);
    const flights = body.months.reduce((sum, each) => sum + each.flights, 0);
    return [
      [`A report of ${flights} flights and ${happened} occurrences, 36 months`, ''],
      ['  statements', String(statements)],
      ['  server and database, processor time', `${cpuMs.toFixed(0)} ms`],
      ['  asked for to answered, median (aim: 300 ms)', `${median(wall).toFixed(0)} ms`],
      [
        '  worked out of the answer, median; times 4 by hand',
        `${median(worked).toFixed(0)} and ${(4 * median(worked)).toFixed(0)} ms`,
      ],
    ];
  });
