import { applyToWeakness } from '@skelby/core/weakness/apply';
import { courseOfPilot } from '@skelby/core/course/of-pilot';
import { provideArithmetic } from './arithmetic';
import { DEFAULT_RULE } from '@skelby/core/clearance/clearing-rule';
import { v7 as uuid } from 'uuid';
import type { PilotPage, RecordedRep, Roster, TodayList, WeaknessPage } from '@skelby/core/pages/pages';
import type { Kept } from './kept';
import { debriefOver, occurrenceOver } from './occurrence';
import { pilotOver } from './pilot';
import type { Waiting } from '../outbox/waiting';
import { todayOver } from './today';
import { weaknessOver } from './weakness';

provideArithmetic({ applyToWeakness });

/** A page without signal shows what was done on this phone, as if the server had it. */

const [pilotId, occurrenceId, weaknessId, moveId, planId] = Array.from({ length: 5 }, () => uuid()) as [
  string,
  string,
  string,
  string,
  string,
];
const entry = (path: string, body: object): Waiting => ({
  key: uuid(),
  accountId: 'a',
  what: 'entry',
  path,
  stamp: null,
  body: body as Record<string, unknown>,
});
const repFields = (more: object = {}) => ({
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
const recorded = (id: string) => ({ ...repFields(), id, takenBack: false }) as RecordedRep;

const roster = {
  pilots: [{ id: pilotId, name: 'Tove Lindqvane', mode: 'position-hold', stickLayout: 2, windLimitMps: 5 }],
  craft: [],
  sites: [],
} as unknown as Roster;
const logged = entry(`/occurrences/${occurrenceId}`, {
  pilotId,
  kind: 'crash',
  causeId: 'overcontrol',
  note: 'Chased it.',
  craftId: null,
  siteId: null,
  windMps: null,
  happenedAt: '2026-03-03T09:00:00.000Z',
  day: '2026-03-03',
});
const opening = entry(`/occurrences/${occurrenceId}/confirmation`, {
  causeId: 'overcontrol',
  weaknessId,
  moveId,
  planId,
  at: '2026-03-03T09:10:00.000Z',
});
const DAY = '2026-03-03';
const NOTHING: TodayList = { toDebrief: [], weaknesses: [] };

/** What a phone has read, all of it before anything was done on it. */
const having = (pages: Readonly<Record<string, unknown>> = {}): Kept => {
  const all: Readonly<Record<string, unknown>> = { roster, rule: DEFAULT_RULE, today: NOTHING, ...pages };
  return {
    get: <T>(...name: readonly string[]) =>
      name.join(' ') in all ? { data: all[name.join(' ')] as T, readAt: 0 } : undefined,
    all: <T>(kind: string) =>
      Object.entries(all).flatMap(([name, data]) =>
        name.startsWith(`${kind} `) ? [{ data: data as T, readAt: 0 }] : [],
      ),
  };
};

const page = (more: object = {}) =>
  ({
    weakness: {
      id: weaknessId,
      pilotId,
      causeId: 'overcontrol',
      state: 'open',
      checkFrom: null,
      checkPassed: false,
      rungs: [0, 0, 0, 0, 0],
      openedAt: '2026-03-01T09:00:00.000Z',
    },
    known: {},
    pilot: roster.pilots[0],
    rule: DEFAULT_RULE,
    moves: [{ id: moveId, kind: 'opened', at: '2026-03-01T09:00:00.000Z', reason: null, undoes: null }],
    reps: [],
    occurrences: [],
    plans: [{ id: planId, drillIds: ['half-thumb', 'tail-in-hover'], reason: '', madeAt: '' }],
    ...more,
  }) as unknown as WeaknessPage;

test('logged without signal: it stands on Today, and its own page opens', () => {
  const kept = having();
  expect(todayOver(kept, [logged], DAY)?.toDebrief).toMatchObject([
    { id: occurrenceId, pilotName: 'Tove Lindqvane', begun: false },
  ]);
  expect(occurrenceOver(kept, [logged], occurrenceId)).toMatchObject({
    pilotName: 'Tove Lindqvane',
    confirmedCauseId: null,
    note: 'Chased it.',
  });
  expect(debriefOver(kept, [logged], occurrenceId)).toEqual({ debrief: null, versions: [] });
  expect(occurrenceOver(kept, [logged], uuid())).toBeUndefined();
});

test('confirmed without signal: a weakness with its plan, ready for reps, and Today and the pilot have moved on', () => {
  const kept = having();
  const waiting = [logged, opening, entry(`/reps/${uuid()}`, repFields())];
  const opened = weaknessOver(kept, waiting, weaknessId);
  expect(opened).toMatchObject({
    weakness: { pilotId, causeId: 'overcontrol', state: 'drilling' },
    moves: [{ kind: 'opened', occurrenceId }],
    plans: [{ id: planId }],
    occurrences: [{ id: occurrenceId }],
  });
  expect(opened!.plans[0]!.drillIds.length).toBeGreaterThan(1);
  expect(opened!.reps).toHaveLength(1);
  const line = { id: weaknessId, state: 'drilling', rungs: opened!.weakness.rungs };
  expect(todayOver(kept, waiting, DAY)).toMatchObject({ toDebrief: [], weaknesses: [line] });
  // A pilot whose page was never read has one all the same.
  expect(pilotOver(kept, waiting, pilotId)).toMatchObject({
    pilot: { name: 'Tove Lindqvane' },
    weaknesses: [line],
    occurrences: [{ id: occurrenceId, confirmedCauseId: 'overcontrol' }],
    reps: [{ drillId: 'tail-in-hover', purpose: 'test', reps: 1, met: 1 }],
  });
});

test('reps flown without signal show on Today and on the pilot as the page works them out; nothing else moves', () => {
  const other = { ...page().weakness, id: uuid(), pilotName: 'Tove Lindqvane' };
  const kept = having({
    today: { toDebrief: [], weaknesses: [{ ...page().weakness, pilotName: 'Tove Lindqvane' }, other] },
    [`weakness ${weaknessId}`]: page(),
    [`pilot ${pilotId}`]: {
      pilot: roster.pilots[0],
      weaknesses: [page().weakness],
      occurrences: [],
      reps: [],
      flown: { flights: 0, packs: 0, minutes: 0, since: null },
      flights: [],
      links: [],
    } as unknown as PilotPage,
  });
  const waiting = [entry(`/reps/${uuid()}`, repFields()), entry(`/reps/${uuid()}`, repFields())];
  const { state, rungs } = weaknessOver(kept, waiting, weaknessId)!.weakness;
  expect(state).toBe('drilling');
  expect(rungs[0]).toBeGreaterThan(0);
  const today = todayOver(kept, waiting, DAY)!;
  expect(today.weaknesses.find(({ id }) => id === weaknessId)).toMatchObject({ state, rungs });
  expect(today.weaknesses.find(({ id }) => id === other.id)).toMatchObject({
    state: 'open',
    rungs: other.rungs,
  });
  expect(pilotOver(kept, waiting, pilotId)!.weaknesses).toMatchObject([{ state, rungs }]);
});

test('a debrief closed without signal opens the weakness too, weighs what it found, and its version is there', () => {
  const versionId = uuid();
  const closed = entry(`/occurrences/${occurrenceId}/debrief/${versionId}`, {
    base: 0,
    state: 'closed',
    reason: '',
    at: '2026-03-03T09:20:00.000Z',
    weaknessId,
    moveId,
    planId,
    undoId: uuid(),
    findings: { primary: 'overcontrol', potential: 'hazardous', chain: [], evidence: {} },
  });
  const waiting = [logged, closed];
  expect(debriefOver(having(), waiting, occurrenceId)).toMatchObject({
    debrief: { id: versionId, number: 1, state: 'closed' },
    versions: [{ number: 1 }],
  });
  expect(weaknessOver(having(), waiting, weaknessId)).toMatchObject({
    moves: [{ kind: 'opened' }],
    known: { severity: 4 },
  });
});

test('confirmed, taken back and confirmed again: the weakness is opened again, not added to', () => {
  const again = entry(`/occurrences/${occurrenceId}/confirmation`, {
    ...opening.body,
    moveId: uuid(),
    at: '2026-03-03T11:00:00.000Z',
  });
  const back = entry(`/occurrences/${occurrenceId}/confirmation/taken-back`, {
    moveId: uuid(),
    at: '2026-03-03T10:00:00.000Z',
    reason: 'Not that one.',
  });
  const kinds = weaknessOver(having(), [logged, opening, back, again], weaknessId)!.moves.map(
    ({ kind }) => kind,
  );
  expect(kinds).toEqual(['opened', 'undone', 'opened']);
});

test('two confirmations of a closed weakness: it opens again once, and the second is added', () => {
  const signed = {
    id: uuid(),
    kind: 'signed-early',
    at: '2026-03-02T09:00:00.000Z',
    reason: 'x',
    undoes: null,
  };
  const read = page({ moves: [...page().moves, signed] });
  const other = uuid();
  const more = (occurrence: string, at: string) =>
    entry(`/occurrences/${occurrence}/confirmation`, { ...opening.body, moveId: uuid(), at });
  const waiting = [
    logged,
    entry(`/occurrences/${other}`, logged.body),
    more(occurrenceId, '2026-03-03T10:00:00.000Z'),
    more(other, '2026-03-03T10:05:00.000Z'),
  ];
  const { moves } = weaknessOver(having({ [`weakness ${weaknessId}`]: read }), waiting, weaknessId)!;
  expect(moves.slice(2).map(({ kind }) => kind)).toEqual(['reopened', 'occurrence-added']);
});

test('a rep counts at once, once, and only where its drill decides; an undo shows at once', () => {
  const [first, second, other] = [uuid(), uuid(), uuid()];
  const kept = having({ [`weakness ${weaknessId}`]: page({ reps: [recorded(first)] }) });
  const waiting = [
    entry(`/reps/${second}`, repFields()),
    entry(`/reps/${first}`, repFields()),
    entry(`/reps/${other}`, repFields({ weaknessId: uuid() })),
    entry(`/reps/${first}/taken-back`, { reason: 'Mis-tap' }),
  ];
  const { reps } = weaknessOver(kept, waiting, weaknessId)!;
  expect(reps.map((each) => [each.id, each.takenBack])).toEqual([
    [first, true],
    [second, false],
  ]);
});

test('a new plan and a signature show at once, and not twice once the server has them', () => {
  const [newPlan, signature] = [uuid(), uuid()];
  const read = page();
  const waiting = [
    entry(`/weaknesses/${weaknessId}/plans/${newPlan}`, {
      drillIds: ['tail-in-hover', 'half-thumb'],
      reason: 'Hands first.',
    }),
    entry(`/weaknesses/${weaknessId}/moves/${signature}`, {
      kind: 'signed-early',
      undoes: null,
      at: '2026-03-04T09:00:00.000Z',
      day: '2026-03-04',
      reason: 'Seen on the line.',
    }),
  ];
  const today = { toDebrief: [], weaknesses: [{ ...read.weakness, pilotName: 'Tove Lindqvane' }] };
  const kept = having({ today, [`weakness ${weaknessId}`]: read });
  const now = weaknessOver(kept, waiting, weaknessId)!;
  expect(now.plans.map((plan) => plan.id)).toEqual([newPlan, planId]);
  expect(now.moves).toMatchObject([{ kind: 'opened' }, { id: signature, kind: 'signed-early' }]);
  expect(weaknessOver(having({ [`weakness ${weaknessId}`]: now }), waiting, weaknessId)).toBe(now);
  // Its first check on watch is a week away: within the days that Today looks ahead.
  expect(todayOver(kept, waiting, DAY)?.weaknesses).toMatchObject([]);
  expect(todayOver(kept, waiting, '2026-03-10')?.weaknesses).toMatchObject([{ state: 'watch' }]);
});

test('a list read before a weakness was opened shows it by the page that was read after', () => {
  const sent = { ...opening, sentAt: 50 };
  const kept: Kept = {
    ...having({ [`weakness ${weaknessId}`]: page() }),
    get: <T>(...name: readonly string[]) => {
      const found = having({ [`weakness ${weaknessId}`]: page() }).get<T>(...name);
      return found && { ...found, readAt: name[0] === 'weakness' ? 100 : 10 };
    },
  };
  expect(todayOver(kept, [sent], DAY)!.weaknesses).toMatchObject([{ id: weaknessId, state: 'open' }]);
});

test('what was said on the course without signal stands on the pilot’s page, once', () => {
  const factId = uuid();
  const fact = {
    ...{ kind: 'rep', drillId: 'single-stick', side: null, met: true, missReason: null, flownOn: 'craft' },
    ...{ band: 'calm', factId: null, reason: '', day: '2026-03-03', at: '2026-03-03T10:00:00.000Z' },
  };
  const items = [
    entry(`/pilots/${pilotId}/course/${factId}`, fact),
    entry(`/pilots/${uuid()}/course/${uuid()}`, fact),
  ];
  const partOf = (page: PilotPage | undefined) =>
    courseOfPilot(page!)
      .lessons.flatMap(({ parts }) => parts)
      .find(({ drillId }) => drillId === 'single-stick')!;
  const never = having();
  expect(partOf(pilotOver(never, items, pilotId))).toMatchObject({ reps: 1, met: 1 });
  // The server's answer came, and the entry still waits for its receipt: it is not counted twice.
  const itsPage = { ...pilotOver(never, items, pilotId)!, course: [{ ...fact, id: factId }] } as PilotPage;
  const read = having({ [`pilot ${pilotId}`]: itsPage });
  expect(partOf(pilotOver(read, items, pilotId))).toMatchObject({ reps: 1, met: 1 });
});
