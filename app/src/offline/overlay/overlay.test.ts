import { DEFAULT_RULE } from '@skelby/core/clearance/clearing-rule';
import { v7 as uuid } from 'uuid';
import type { Occurrence, RecordedRep, Roster, TodayList, WeaknessPage } from '../../shared/api/types';
import { debriefWith, occurrenceWith } from './occurrence';
import type { Waiting } from '../outbox/waiting';
import { todayWith } from './today';
import { type Around, repsWith, weaknessWith } from './weakness';

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
const known = (waiting: readonly Waiting[]): Around => ({
  roster,
  rule: DEFAULT_RULE,
  occurrence: (id) => occurrenceWith(id, undefined, waiting, roster) as Occurrence | undefined,
});
const NOTHING: TodayList = { toDebrief: [], weaknesses: [] };

test('logged without signal: it stands on Today, and its own page opens', () => {
  expect(todayWith(NOTHING, [logged], roster)?.toDebrief).toMatchObject([
    { id: occurrenceId, pilotName: 'Tove Lindqvane', begun: false },
  ]);
  expect(occurrenceWith(occurrenceId, undefined, [logged], roster)).toMatchObject({
    pilotName: 'Tove Lindqvane',
    confirmedCauseId: null,
    note: 'Chased it.',
  });
  expect(debriefWith(occurrenceId, undefined, [logged])).toEqual({ debrief: null, versions: [] });
  expect(occurrenceWith(uuid(), undefined, [logged], roster)).toBeUndefined();
});

test('confirmed without signal: a weakness with its plan, ready for reps, and Today has moved on', () => {
  const waiting = [logged, opening, entry(`/reps/${uuid()}`, repFields())];
  const page = weaknessWith(weaknessId, undefined, waiting, known(waiting));
  expect(page).toMatchObject({
    weakness: { pilotId, causeId: 'overcontrol' },
    moves: [{ kind: 'opened', occurrenceId }],
    plans: [{ id: planId }],
    occurrences: [{ id: occurrenceId }],
  });
  expect(page!.plans[0]!.drillIds.length).toBeGreaterThan(1);
  expect(page!.reps).toHaveLength(1);
  expect(todayWith(NOTHING, waiting, roster)).toMatchObject({
    toDebrief: [],
    weaknesses: [{ id: weaknessId, state: 'open' }],
  });
});

test('reps flown without signal show in the list as the page worked them out; nothing else in the list moves', () => {
  const line = {
    id: weaknessId,
    pilotId,
    pilotName: 'Tove Lindqvane',
    causeId: 'overcontrol',
    state: 'open',
    checkFrom: null,
    checkPassed: false,
    rungs: [0, 0, 0, 0, 0],
    openedAt: '2026-03-01T09:00:00.000Z',
  } as const;
  const list: TodayList = { toDebrief: [], weaknesses: [line, { ...line, id: uuid() }] };
  const standing = {
    state: 'drilling',
    rungs: [0.4, 0, 0.2, 0, 0],
    checkFrom: null,
    checkPassed: false,
  } as const;
  const shown = todayWith(list, [entry(`/reps/${uuid()}`, repFields())], roster, () => standing)!;
  expect(shown.weaknesses[0]).toMatchObject(standing);
  expect(shown.weaknesses[1]).toBe(list.weaknesses[1]);
});

test('a debrief closed without signal opens the weakness too, and its version is there', () => {
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
    findings: { primary: 'overcontrol' },
  });
  const waiting = [logged, closed];
  expect(debriefWith(occurrenceId, undefined, waiting)).toMatchObject({
    debrief: { id: versionId, number: 1, state: 'closed' },
    versions: [{ number: 1 }],
  });
  expect(weaknessWith(weaknessId, undefined, waiting, known(waiting))).toMatchObject({
    moves: [{ kind: 'opened' }],
  });
});

test('a rep counts at once, once, and only for its own weakness; an undo shows at once', () => {
  const [first, second, other] = [uuid(), uuid(), uuid()];
  const waiting = [
    entry(`/reps/${second}`, repFields()),
    entry(`/reps/${first}`, repFields()),
    entry(`/reps/${other}`, repFields({ weaknessId: uuid() })),
    entry(`/reps/${first}/taken-back`, { reason: 'Mis-tap' }),
  ];
  const reps = repsWith(new Set([weaknessId]), [recorded(first)], waiting);
  expect(reps.map((each) => [each.id, each.takenBack])).toEqual([
    [first, true],
    [second, false],
  ]);
});

test('a new plan and a signature show at once, and not twice once the server has them', () => {
  const read = {
    weakness: { id: weaknessId, pilotId, causeId: 'overcontrol', state: 'drilling' },
    pilot: roster.pilots[0],
    rule: DEFAULT_RULE,
    moves: [],
    reps: [],
    occurrences: [],
    plans: [{ id: uuid(), drillIds: ['tail-in-hover'], reason: '', madeAt: '' }],
  } as unknown as WeaknessPage;
  const [newPlan, signature] = [uuid(), uuid()];
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
  const page = weaknessWith(weaknessId, read, waiting, known(waiting))!;
  expect(page.plans.map((plan) => plan.id)).toEqual([newPlan, read.plans[0]!.id]);
  expect(page.moves).toMatchObject([{ id: signature, kind: 'signed-early' }]);
  expect(weaknessWith(weaknessId, page, waiting, known(waiting))).toBe(page);
  const listed: TodayList = {
    toDebrief: [],
    weaknesses: [{ ...read.weakness, pilotName: 'Tove Lindqvane' }],
  };
  expect(todayWith(listed, waiting, roster)?.weaknesses).toEqual([]);
});
