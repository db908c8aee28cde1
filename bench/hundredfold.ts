import { v7 as uuid } from 'uuid';
import { rep, type TestServer, type Visitor, withWeakness } from '../server/src/testing/test-school';
import { withServer } from './with-server';
import { fillWithReps, openedLongAgo } from './flown-long';
import { type AskPage, costOf, type PageCost } from './page-cost';

/** What pages and a rep cost a school with a hundred times the records behind it. */

const TIMES = [1, 10, 100] as const;
const REPS = 100;
const TO_DEBRIEF = 20;
const FLIGHTS = 20;

/** Flights and occurrences that nobody has debriefed, one an hour. */
export async function fillSchool(server: TestServer, pilotId: string, times: number): Promise<void> {
  await server.db.raw(
    `insert into occurrences (school_id, id, pilot_id, kind, cause_id, note, happened_at, day)
     select school_id, gen_random_uuid(), id, 'near-miss', 'coasting', 'Ran on past the mark.', now() - i * interval '1 hour', (now() - i * interval '1 hour')::date
       from pilots, generate_series(1, ${TO_DEBRIEF * times}) i where id = ?`,
    [pilotId],
  );
  await server.db.raw(
    `insert into craft (school_id, id, name, mode, mass_kg, span_m, rotors, rotor_radius_m, thrust_to_weight, top_speed_mps, has_pause_switch)
     select school_id, gen_random_uuid(), 'Hover 1', 'position-hold', 0.9, 0.35, 4, 0.105, 1.9, 15, true from pilots where id = ?`,
    [pilotId],
  );
  await server.db.raw(
    `insert into sites (school_id, id, name, place, tallest_m)
     select school_id, gen_random_uuid(), 'Merrow Moor', 'open', 9 from pilots where id = ?`,
    [pilotId],
  );
  await server.db.raw(
    `insert into flights (school_id, id, pilot_id, craft_id, site_id, day, packs, minutes, wind_mps)
     select p.school_id, gen_random_uuid(), p.id, c.id, s.id, current_date - i, 1, 8, 2
       from pilots p join craft c using (school_id) join sites s using (school_id), generate_series(1, ${FLIGHTS * times}) i where p.id = ?`,
    [pilotId],
  );
  await server.db.raw('vacuum analyze');
}

/** Bytes of an answer, as they go over the air. */
async function bytesOf({ base }: TestServer, visitor: Visitor, path: string): Promise<number> {
  const answer = await fetch(`${base}/api${path}`, {
    headers: { Cookie: visitor.cookie, 'Accept-Encoding': 'identity' },
  });
  return (await answer.arrayBuffer()).byteLength;
}

interface Cost extends PageCost {
  readonly bytes: number | null;
}

async function costsAt(server: TestServer, times: number): Promise<ReadonlyMap<string, Cost>> {
  const { trainer, schoolId } = await server.school(`With ${times}`);
  const { pilotId, weaknessId } = await withWeakness(trainer);
  await openedLongAgo(server, weaknessId);
  await fillWithReps(server, weaknessId, REPS * times);
  await fillSchool(server, pilotId, times);
  const record: AskPage = (who) => {
    const now = new Date().toISOString();
    return who.put(
      `/reps/${uuid()}`,
      rep(weaknessId, { purpose: 'practice', day: now.slice(0, 10), flownAt: now }),
    );
  };
  // As after a day's flying: the first rep works out where it stood.
  await record(trainer);
  const paths = [
    '/today',
    `/weaknesses/${weaknessId}?reps=lately`,
    `/pilots/${pilotId}`,
    '/flights',
    '/carry?reps=lately',
  ];
  const found = new Map<string, Cost>();
  for (const path of paths)
    found.set(path.replace(/[\da-f-]{36}/, '…'), {
      ...(await costOf(server, trainer, schoolId, (who) => who.get(path))),
      bytes: await bytesOf(server, trainer, path),
    });
  found.set('a rep', { ...(await costOf(server, trainer, schoolId, record)), bytes: null });
  return found;
}

export const sayHundredfold = (): Promise<string> =>
  withServer(async (server) => {
    const all: ReadonlyMap<string, Cost>[] = [];
    for (const times of TIMES) all.push(await costsAt(server, times));
    const line = (name: string): string => {
      const at = all.map((costs) => costs.get(name)!);
      const row = (of: (cost: Cost) => number, digits: number) =>
        `${at.map((cost) => of(cost).toFixed(digits)).join(', ')} | ${(of(at.at(-1)!) / of(at[0]!)).toFixed(2)}`;
      const bytes = at[0]!.bytes === null ? '– | –' : row((cost) => cost.bytes!, 0);
      return `| ${name} | ${at[0]!.statements} | ${row((cost) => cost.buffers, 0)} | ${row((cost) => cost.cpuMs, 1)} | ${bytes} |`;
    };
    return [
      `| with ${TIMES.map((times) => `${times}×`).join(', ')} (1×: ${REPS} reps of one weakness, ${TO_DEBRIEF} to debrief, ${FLIGHTS} flights) | statements | buffers | times | processor, ms | times | bytes, not packed | times |`,
      '| --- | --- | --- | --- | --- | --- | --- | --- |',
      ...[...all[0]!.keys()].map(line),
    ].join('\n');
  });
