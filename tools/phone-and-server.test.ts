import type { CauseId } from '@skelby/core/causes/causes';
import { applyToWeakness } from '@skelby/core/weakness/apply';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import { provideArithmetic } from '../app/src/offline/overlay/arithmetic';
import {
  announceTests,
  callOffTests,
  changePlan,
  confirmCause,
  logOccurrence,
  moveWeakness,
  recordRep,
  saveDebrief,
  saveFlight,
  savePilot,
  saveSession,
  stampWeakness,
  takeConfirmationBack,
  takeRepBack,
  withdrawOccurrence,
} from '@skelby/core/commands/handles';
import { randomInt } from 'node:crypto';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import type { AnyHandle } from '@skelby/core/commands/command';
import { newRep } from '@skelby/core/commands/record-rep';
import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import type {
  DebriefPage,
  Flight,
  OccurrenceOfPilot,
  PilotPage,
  Roster,
  TodayList,
  TrainingSession,
  WeaknessPage,
} from '@skelby/core/pages/pages';
import type { BatchAnswer } from '@skelby/core/sync/batch';
import type { Kept, Read } from '../app/src/offline/overlay/kept';
import { debriefOver, occurrenceOver } from '../app/src/offline/overlay/occurrence';
import { pilotOver } from '../app/src/offline/overlay/pilot';
import { flightsOver, rosterOver } from '../app/src/offline/overlay/roster';
import { sessionsOver } from '../app/src/offline/overlay/sessions';
import { todayOver } from '../app/src/offline/overlay/today';
import { weaknessOver } from '../app/src/offline/overlay/weakness';
import { entryOf } from '../app/src/offline/outbox/commands';
import type { Waiting } from '../app/src/offline/outbox/waiting';
import {
  CRAFT,
  occurrence,
  PILOT,
  SITE,
  startTestServer,
  type TestServer,
  type Visitor,
} from '../server/src/testing/test-school';

provideArithmetic({ applyToWeakness });

/**
 * For random lists of things done without signal: every kind of page looks on the phone as the server shows it
 * once they were sent.
 */

/** A phone shows so many values of a drill; the server sends more, since some may be taken back. */
const VALUES_SHOWN = 5;
const RUNS = Number(process.env['PHONE_RUNS'] ?? 12);
/** A new one every day, printed, so that a failure can be tried again with PHONE_SEED. */
const SEED = Number(process.env['PHONE_SEED'] ?? Math.floor(Date.now() / 86_400_000));
const MINUTE_MS = 60_000;
/** So long is looked for a shorter list that fails too, when a seed is tried again. */
const LONGEST_MS = 240_000;

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

/** What one phone knows to talk about: keys of the people, things and entries that there are. */
class Ground {
  readonly pilots: string[] = [];
  readonly occurrences: { id: string; pilotId: string; causeId: CauseId }[] = [];
  readonly weaknesses: { id: string; pilotId: string; causeId: CauseId }[] = [];
  readonly reps: string[] = [];
  readonly flights: string[] = [];
  readonly signatures: { weaknessId: string; id: string }[] = [];
  readonly debriefs = new Map<string, number>();
  craftId = uuid();
  siteId = uuid();
  private at = Date.now() - 20 * 86_400_000;

  /** Later than all before it. */
  tick(days = 0): { at: string; day: string } {
    this.at += MINUTE_MS + days * 86_400_000;
    const at = new Date(this.at).toISOString();
    return { at, day: at.slice(0, 10) };
  }
}

const CAUSES = ['overcontrol', 'coasting', 'orientation-side-on'] as const;
const DRILLS = ['tail-in-hover', 'half-thumb', 'side-on-hover', 'single-stick'] as const;

type Made = Omit<Waiting, 'key' | 'accountId'>;
const make = (command: AnyHandle, keys: object, body: object): Made =>
  entryOf<AnyHandle>(command, keys as never, body, command.name);

const pick = <T>(from: readonly T[], n: number): T | undefined => from[n % Math.max(1, from.length)];

/** One thing that a trainer may do; nothing where there is nothing to do it to. */
function act(ground: Ground, what: number, which: number, coin: boolean): readonly Made[] {
  const { at, day } = ground.tick(coin ? 1 : 0);
  const weakness = pick(ground.weaknesses, which);
  const entry = pick(ground.occurrences, which);
  switch (what) {
    case 0: {
      const [id, pilotId, causeId] = [uuid(), pick(ground.pilots, which)!, pick(CAUSES, which)!];
      ground.occurrences.push({ id, pilotId, causeId });
      return [make(logOccurrence, { id }, occurrence(pilotId, { causeId, happenedAt: at, day }))];
    }
    case 1: {
      if (!entry) return [];
      const known = ground.weaknesses.find(
        (each) => each.pilotId === entry.pilotId && each.causeId === entry.causeId,
      );
      const weaknessId = known?.id ?? uuid();
      if (!known) ground.weaknesses.push({ id: weaknessId, pilotId: entry.pilotId, causeId: entry.causeId });
      const body = { causeId: entry.causeId, weaknessId, moveId: uuid(), planId: uuid(), at };
      return [make(confirmCause, { id: entry.id }, body)];
    }
    case 2:
      return entry
        ? [make(takeConfirmationBack, { id: entry.id }, { moveId: uuid(), at, reason: 'Not that one.' })]
        : [];
    case 3:
      return entry ? [make(withdrawOccurrence, { id: entry.id }, { reason: 'By mistake.' })] : [];
    case 4:
    case 5:
    case 6: {
      if (!weakness) return [];
      const drillId = pick(DRILLS, which + what)!;
      const side = drillId === 'side-on-hover' ? (coin ? 'nose-left' : 'nose-right') : null;
      return Array.from({ length: 1 + (which % 5) }, (_, i) => {
        const id = uuid();
        ground.reps.push(id);
        const { at: flownAt } = ground.tick();
        const met = (which + i) % 6 !== 0;
        const rep = newRep({
          weaknessId: weakness.id,
          drillId,
          purpose: what === 6 ? 'check' : coin ? 'test' : 'practice',
          met,
          missReason: met ? null : 'height',
          side,
          band: 'calm',
          flownOn: 'craft',
          mode: 'position-hold',
          pilotRelative: false,
          pack: 1,
          measure: i % 3 === 2 ? null : i + 0.5,
          drillVersion: 0,
          day: flownAt.slice(0, 10),
          flownAt,
        });
        return make(recordRep, { id }, rep);
      });
    }
    case 17: {
      // Announced, flown in part, and called off or left.
      if (!weakness) return [];
      const [setId, drillId] = [uuid(), pick(['tail-in-hover', 'half-thumb'] as const, which)!];
      const keys = { id: weakness.id, setId };
      const flown = Array.from({ length: which % 4 }, (_, i) => {
        const id = uuid();
        ground.reps.push(id);
        const { at: flownAt } = ground.tick();
        const met = (which + i) % 5 !== 0;
        const rep = newRep({
          weaknessId: weakness.id,
          drillId,
          purpose: 'test',
          met,
          missReason: null,
          side: null,
          band: 'calm',
          flownOn: 'craft',
          mode: 'position-hold',
          pilotRelative: false,
          pack: 1,
          drillVersion: 0,
          testSetId: setId,
          day: flownAt.slice(0, 10),
          flownAt,
        });
        return make(recordRep, { id }, rep);
      });
      return [
        make(announceTests, keys, { drillId, side: null, number: 1 + (which % 4), day, at }),
        ...flown,
        ...(coin ? [make(callOffTests, keys, { at: ground.tick().at })] : []),
      ];
    }
    case 7: {
      const id = pick(ground.reps, which);
      return id ? [make(takeRepBack, { id }, { reason: 'Mis-tap' })] : [];
    }
    case 8: {
      if (!weakness) return [];
      const id = uuid();
      ground.signatures.push({ weaknessId: weakness.id, id });
      const kind = coin ? 'signed-early' : 'closed';
      const body = { kind, undoes: null, at, day, reason: 'Seen on the line.' };
      return [make(moveWeakness, { id: weakness.id, moveId: id }, body)];
    }
    case 9: {
      const signature = pick(ground.signatures, which);
      if (!signature) return [];
      const body = { kind: 'undone', undoes: signature.id, at, day, reason: 'Too early.' };
      return [make(moveWeakness, { id: signature.weaknessId, moveId: uuid() }, body)];
    }
    case 10: {
      const id = pick(ground.pilots, which)!;
      return [
        make(
          savePilot,
          { id },
          { ...PILOT, name: `Renamed ${which}`, windLimitMps: coin ? 2 : 8, basedOn: null },
        ),
      ];
    }
    case 11: {
      const id = uuid();
      ground.pilots.push(id);
      return [make(savePilot, { id }, { ...PILOT, name: `Added ${which}`, windLimitMps: 5 })];
    }
    case 12: {
      const id = coin ? uuid() : (pick(ground.flights, which) ?? uuid());
      const pilotId = pick(ground.pilots, 0)!;
      ground.flights.push(id);
      const flight = {
        pilotId,
        craftId: ground.craftId,
        siteId: ground.siteId,
        day,
        packs: 1 + (which % 3),
        minutes: 9,
        windMps: 2,
      };
      return [make(saveFlight, { id }, { ...flight, basedOn: null })];
    }
    case 13: {
      if (!weakness) return [];
      const drillIds =
        weakness.causeId === 'orientation-side-on' ? ['side-on-hover'] : ['half-thumb', 'tail-in-hover'];
      return [
        make(changePlan, { id: weakness.id, planId: uuid() }, { drillIds, reason: 'Hands first.', at }),
      ];
    }
    case 14: {
      if (!entry) return [];
      const known = ground.weaknesses.find(
        (each) => each.pilotId === entry.pilotId && each.causeId === entry.causeId,
      );
      const weaknessId = known?.id ?? uuid();
      if (coin && !known)
        ground.weaknesses.push({ id: weaknessId, pilotId: entry.pilotId, causeId: entry.causeId });
      const base = ground.debriefs.get(entry.id) ?? 0;
      ground.debriefs.set(entry.id, base + 1);
      const findings = {
        ...NO_FINDINGS,
        ownPick: entry.causeId,
        primary: entry.causeId,
        overruleReason: 'Seen it happen.',
        actual: 'minor',
        potential: 'major',
        likelihood: 'possible',
        injury: 'none',
      };
      const body = {
        base,
        state: coin ? 'closed' : 'open',
        reason: 'Looked again.',
        at,
        weaknessId,
        moveId: uuid(),
        undoId: uuid(),
        planId: uuid(),
        findings,
      };
      return [make(saveDebrief, { id: entry.id, versionId: uuid() }, body)];
    }
    case 15: {
      if (!weakness) return [];
      const body = {
        mode: coin ? 'self-level' : 'position-hold',
        windLimitMps: 2 + (which % 7),
        at,
        reason: 'Flies otherwise.',
      };
      return [make(stampWeakness, { id: weakness.id, stampId: uuid() }, body)];
    }
    default: {
      const pilotId = pick(ground.pilots, which)!;
      const session = {
        day,
        state: 'planned',
        siteId: ground.siteId,
        windMps: 2,
        startsAt: '09:30',
        lightUntil: null,
        packsThere: 1,
        packMinutes: 8,
        minutes: null,
        packs: [{ pilotId, blocks: [] }],
        goNoGo: null,
        own: [],
      };
      return [make(saveSession, { id: uuid() }, session)];
    }
  }
}

const send = async (trainer: Visitor, items: readonly Waiting[]): Promise<BatchAnswer> => {
  const results: BatchAnswer['results'][number][] = [];
  for (let from = 0; from < items.length; from += 50) {
    const commands = items
      .slice(from, from + 50)
      .map(({ key, path, stamp, body }) => ({ key, path, stamp, body }));
    const { body, status } = await trainer.ask<BatchAnswer>('POST', '/api/sync', {
      sentAt: new Date().toISOString(),
      minutesAheadOfUtc: 0,
      phone: null,
      commands,
    });
    expect(status).toBe(200);
    results.push(...body.results);
  }
  return { results, clockAheadS: 0 };
};

/** Every page that the server has, as a phone keeps them. */
async function readAll(trainer: Visitor, ground: Ground): Promise<Map<string, Read<unknown>>> {
  const pages = new Map<string, Read<unknown>>();
  const readAt = Date.now();
  const read = async (name: string, path: string) => {
    const { status, body } = await trainer.get<unknown>(path);
    if (status === 200) pages.set(name, { data: body, readAt });
  };
  const { body } = await trainer.get<Record<string, unknown>>('/carry');
  pages.set('rule', { data: body['rule'], readAt });
  for (const name of ['today', 'roster', 'flights', 'sessions']) await read(name, `/${name}`);
  for (const id of ground.pilots) await read(`pilot ${id}`, `/pilots/${id}`);
  for (const { id } of ground.weaknesses) await read(`weakness ${id}`, `/weaknesses/${id}`);
  for (const { id } of ground.occurrences) {
    await read(`occurrence ${id}`, `/occurrences/${id}`);
    await read(`debrief ${id}`, `/occurrences/${id}/debrief`);
  }
  return pages;
}

const keptOf = (pages: ReadonlyMap<string, Read<unknown>>): Kept => ({
  get: <T>(...name: readonly string[]) => pages.get(name.join(' ')) as Read<T> | undefined,
  all: <T>(kind: string) =>
    [...pages].flatMap(([name, page]) => (name.startsWith(`${kind} `) ? [page as Read<T>] : [])),
});

/** The part of each page that a trainer sees; keys made by the server and who did it are left out. */
const seen = {
  weakness: (page: WeaknessPage, withPlans: boolean) => ({
    line: line(page.weakness),
    pilot: person(page.pilot),
    rule: page.rule.riskPercent,
    moves: page.moves
      .map(({ id, kind, at, reason, undoes, occurrenceId }) => [id, kind, at, reason, undoes, occurrenceId])
      .sort(),
    plans: withPlans ? page.plans.map(({ drillIds, reason }) => [drillIds, reason]) : [],
    reps: page.reps.map(({ id, met, takenBack, drillId, day }) => [id, met, takenBack, drillId, day]).sort(),
    stamps: (page.stamps ?? []).map(({ at, mode, windLimitMps }) => [at, mode, windLimitMps]),
    charts: clearanceOfPage(page).charts.map(({ drillId, side, curve }) => [
      drillId,
      side,
      curve.scores.at(-1),
    ]),
    occurrences: page.occurrences.map(({ id }) => id).sort(),
  }),
  today: (list: TodayList) => ({
    toDebrief: list.toDebrief.map(({ id, pilotName, causeId, begun }) => [id, pilotName, causeId, begun]),
    weaknesses: list.weaknesses
      .map((each) => [each.pilotName, ...line({ ...each, signedEarly: false })])
      .sort(),
  }),
  pilot: (page: PilotPage) => ({
    pilot: person(page.pilot),
    weaknesses: page.weaknesses.map(line).sort(),
    occurrences: page.occurrences
      .map(({ id, confirmedCauseId, weaknessId, withdrawnAt }) => [
        id,
        confirmedCauseId,
        weaknessId,
        withdrawnAt !== null,
      ])
      .sort(),
    reps: page.reps
      .map(({ drillId, purpose, reps, met, values = [] }) => [
        drillId,
        purpose,
        Number(reps),
        Number(met),
        values.slice(0, VALUES_SHOWN).map(({ id, met: isMet, value }) => [id, isMet, value]),
      ])
      .sort(),
    flown: [Number(page.flown.flights), Number(page.flown.packs), Number(page.flown.minutes)],
    flights: page.flights.map(({ id, packs }) => [id, packs]),
  }),
  occurrence: (row: OccurrenceOfPilot) => [
    row.id,
    row.pilotName,
    row.causeId,
    row.confirmedCauseId,
    row.weaknessId,
    row.withdrawnAt !== null,
    row.withdrawnReason,
  ],
  debrief: ({ debrief, versions }: DebriefPage) => [
    debrief && [debrief.number, debrief.state, debrief.findings.primary],
    versions.map(({ number, state }) => [number, state]),
  ],
  roster: ({ pilots, craft, sites }: Roster) => [pilots.map(person).sort(), craft.length, sites.length],
  flights: (all: readonly Flight[]) => all.map(({ id, pilotName, packs }) => [id, pilotName, packs]),
  sessions: (all: readonly TrainingSession[]) =>
    all.map(({ id, content }) => [id, content.day, content.state]),
};
const person = ({
  id,
  name,
  mode,
  windLimitMps,
}: {
  id: string;
  name: string;
  mode: string;
  windLimitMps: number;
}) => [id, name, mode, windLimitMps];
const line = ({
  id,
  pilotId,
  causeId,
  state,
  checkFrom,
  checkPassed,
  signedEarly,
  rungs,
}: WeaknessPage['weakness']) => [
  id,
  pilotId,
  causeId,
  state,
  checkFrom,
  checkPassed,
  signedEarly ?? false,
  rungs.map((share) => share.toFixed(6)),
];

/** What a plan proposed on the phone cannot weigh yet: what was flown or changed since the pilot's page was read. */
const weighsAnew = (items: readonly Waiting[]): boolean =>
  items.some(({ path }) => [recordRep, saveFlight, savePilot].some((command) => command.address.read(path)));

async function settled(ground: Ground): Promise<Visitor> {
  const { trainer } = await server.school(`School ${uuid()}`);
  ground.pilots.push(uuid(), uuid());
  for (const [i, id] of ground.pilots.entries())
    await trainer.put(`/pilots/${id}`, { ...PILOT, name: `Pilot ${i}` });
  await trainer.put(`/craft/${ground.craftId}`, CRAFT);
  await trainer.put(`/sites/${ground.siteId}`, SITE);
  return trainer;
}

const entriesOf = (made: readonly Made[]): readonly Waiting[] =>
  made.map((each) => ({ ...each, key: uuid(), accountId: 'a' }));

const steps = fc.array(fc.tuple(fc.nat({ max: 17 }), fc.nat({ max: 40 }), fc.boolean()), {
  minLength: 4,
  maxLength: 14,
});

test(`what the phone shows is what the server shows (seed ${SEED}, ${RUNS} runs)`, async () => {
  await fc.assert(
    fc.asyncProperty(steps, steps, async (history, afield) => {
      const ground = new Ground();
      const trainer = await settled(ground);
      // What was there before the signal went: a full life, sent and read.
      const before = [[0, 0, false], [0, 1, false], [1, 0, false], ...history] as [number, number, boolean][];
      await send(trainer, entriesOf(before.flatMap(([what, which, coin]) => act(ground, what, which, coin))));
      const read = await readAll(trainer, ground);
      const made = entriesOf(afield.flatMap(([what, which, coin]) => act(ground, what, which, coin)));
      const { results } = await send(trainer, made);
      // No fault of the server's own; what it refuses is not shown as done.
      expect(results.filter((result) => !result.done && result.status >= 500)).toEqual([]);
      const taken = new Set(results.filter(({ done }) => done).map(({ key }) => key));
      const items = made.filter(({ key }) => taken.has(key));
      const kept = keptOf(read);
      const after = await readAll(trainer, ground);
      const there = <T>(name: string) => after.get(name)!.data as T;
      const day = new Date().toISOString().slice(0, 10);
      expect(seen.today(todayOver(kept, items, day)!)).toEqual(seen.today(there('today')));
      expect(seen.roster(rosterOver(kept, items)!)).toEqual(seen.roster(there('roster')));
      expect(seen.flights(flightsOver(kept, items)!)).toEqual(seen.flights(there('flights')));
      expect(seen.sessions(sessionsOver(kept, items)!)).toEqual(seen.sessions(there('sessions')));
      const withPlans = !weighsAnew(items);
      for (const name of after.keys()) {
        const [kind, id] = name.split(' ') as [string, string];
        if (kind === 'weakness')
          expect(seen.weakness(weaknessOver(kept, items, id)!, withPlans)).toEqual(
            seen.weakness(there(name), withPlans),
          );
        if (kind === 'pilot')
          expect(seen.pilot(pilotOver(kept, items, id)!)).toEqual(seen.pilot(there(name)));
        if (kind === 'occurrence')
          expect(seen.occurrence(occurrenceOver(kept, items, id)!)).toEqual(seen.occurrence(there(name)));
        if (kind === 'debrief')
          expect(seen.debrief(debriefOver(kept, items, id)!)).toEqual(seen.debrief(there(name)));
      }
    }),
    {
      seed: SEED,
      numRuns: RUNS,
      interruptAfterTimeLimit: LONGEST_MS,
      endOnFailure: process.env['PHONE_SEED'] === undefined,
    },
  );
}, 300_000);

test('a list is never so short that nothing is tried', () => {
  const ground = new Ground();
  ground.pilots.push(uuid());
  expect(act(ground, 0, randomInt(40), true)).toHaveLength(1);
});
