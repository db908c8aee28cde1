import type { CauseId } from '../../causes/causes';
import { clearanceOf } from '../../clearance/clearance';
import { DEFAULT_RULE } from '../../clearance/clearing-rule';
import type { Move, Rep } from '../../clearance/facts';
import { proposePlan } from '../propose-plan';
import { candidatesFor } from './candidates';
import type { Conditions, PilotToday } from './today';
import { USUAL_METHODS } from '../../methods/methods';
import { layOut } from './lay-out';
import { type FliesIn, modesFor } from '../../clearance/counts-for-test';
import { USUAL_COURSE } from '../../course/lessons';
import { drillOf } from '../../drills/drills';
import { PILOTED_MODES } from '../../simulator/control/control';

const TODAY = '2026-03-10';
const FIELD: Conditions = { windMps: 1.5, place: 'open' };
let made = 0;
const reps = (count: number, met: (i: number) => boolean, more: Partial<Rep> = {}): Rep[] =>
  Array.from({ length: count }, (_, i) => {
    made += 1;
    return {
      id: `r${made}`,
      drillId: 'tail-in-hover',
      purpose: 'practice',
      met: met(i),
      side: null,
      band: 'calm',
      flownOn: 'craft',
      mode: 'position-hold',
      pilotRelative: false,
      day: '2026-03-08',
      flownAt: new Date(Date.parse('2026-03-08T09:00:00Z') + made * 60_000).toISOString(),
      takenBack: false,
      ...more,
    } as Rep;
  });

function pilot(causeId: CauseId, flown: readonly Rep[], more: Partial<PilotToday> = {}): PilotToday {
  const drillIds = proposePlan(causeId, 'position-hold').map((planned) => planned.drillId);
  const moves: Move[] = [
    { id: 'm', kind: 'opened', at: '2026-03-01T09:00:00.000Z', reason: null, undoes: null },
  ];
  const clearance = clearanceOf({
    causeId,
    keyDrills: drillIds.filter((id) =>
      ['half-thumb', 'tail-in-hover', 'into-wind-hover', 'crab-leg'].includes(id),
    ),
    pilot: { mode: 'position-hold', windLimitMps: 6 },
    rule: DEFAULT_RULE,
    moves,
    reps: flown,
  });
  return {
    pilotId: 'runa',
    windLimitMps: 6,
    reps: flown,
    weaknesses: [{ weaknessId: 'w', causeId, drillIds, rule: DEFAULT_RULE, clearance, severity: 3 }],
    ...more,
  };
}

test('what a pilot has shown before comes before nothing any more, and needs no simulator first', () => {
  const fresh = candidatesFor([pilot('orientation-nose-in', [])], FIELD, TODAY);
  expect(fresh.beforeFlying.map(({ drillId }) => drillId)).toContain('side-on-hover');
  const flies = candidatesFor(
    [
      pilot('orientation-nose-in', [], {
        shown: ['side-on-hover', 'tail-in-hover', 'pop-up-takeoff', 'single-stick'],
      }),
    ],
    FIELD,
    TODAY,
  );
  const side = flies.blocks.find(({ drillId }) => drillId === 'side-on-hover')!;
  expect(side).toMatchObject({ isNew: false, after: [] });
});

test('a beginner practises, easier than the standard; a test is offered once most tries should come off', () => {
  const beginner = candidatesFor(
    [
      pilot(
        'overcontrol',
        reps(6, (i) => i < 2),
      ),
    ],
    FIELD,
    TODAY,
  );
  const hover = beginner.blocks.filter((block) => block.drillId === 'tail-in-hover');
  expect(hover.map((block) => block.purpose)).toEqual(['practice', 'practice', 'practice']);
  expect(hover[1]!.gain).toBeLessThan(hover[0]!.gain);
  expect(hover[0]!.level).toBeLessThan(0);
  expect(hover[0]!.why).toMatchObject({ say: 'block.practice', with: { level: hover[0]!.level } });

  const able = candidatesFor(
    [
      pilot(
        'overcontrol',
        reps(40, (i) => i % 10 !== 0),
      ),
    ],
    FIELD,
    TODAY,
  ).blocks.filter((block) => block.drillId === 'tail-in-hover');
  const test = able.find((block) => block.purpose === 'test')!;
  expect(test).toMatchObject({ level: 0, reps: 4 });
  expect(test.why.with!['brings']).toEqual(
    expect.arrayContaining([
      { say: 'brings.chart' },
      { say: 'brings.band', with: { band: 'calm' } },
      { say: 'brings.day' },
    ]),
  );
  // Past seven in ten it is mixed: two halves that stay apart.
  expect(
    able.filter((block) => block.purpose === 'practice').map((block) => block.apartFrom !== null),
  ).toEqual([true, true]);
  expect(test.gain).toBeGreaterThan(able[0]!.gain);
});

test("wind over the pilot's limit grounds the pilot, and a restriction refuses what it rules out, in words", () => {
  const windy = candidatesFor(
    [
      pilot(
        'overcontrol',
        reps(20, () => true),
      ),
    ],
    { ...FIELD, windMps: 6.5 },
    TODAY,
  );
  expect(windy.blocks).toEqual([]);
  expect(windy.notToday[0]).toMatchObject({
    refused: true,
    said: { say: 'today.too-windy', with: { windMps: 6.5, windLimitMps: 6 } },
  });
  const carried = candidatesFor(
    [
      pilot(
        'wind-displacement',
        reps(20, () => true),
      ),
    ],
    { ...FIELD, windMps: 5 },
    TODAY,
  );
  // Its own drills are what lifts it: they are flown up to the whole limit.
  expect(carried.blocks.length).toBeGreaterThan(0);
  expect(carried.notToday.some((each) => each.refused)).toBe(false);
});

test('a check that is due is all that is offered for its weakness; one that is not yet due lets it rest', () => {
  const ready = [
    ...reps(5, () => true, {
      drillId: 'tail-in-hover',
      purpose: 'test',
      day: '2026-03-02',
      flownAt: '2026-03-02T09:00:00.000Z',
    }),
    ...reps(5, () => true, {
      purpose: 'test',
      day: '2026-03-03',
      band: 'light',
      flownAt: '2026-03-03T09:00:00.000Z',
    }),
  ];
  const withKey = (now: string) => {
    const own = pilot('overcontrol', ready);
    const clearance = clearanceOf({
      causeId: 'overcontrol',
      keyDrills: ['tail-in-hover'],
      pilot: { mode: 'position-hold', windLimitMps: 4 },
      rule: DEFAULT_RULE,
      moves: [{ id: 'm', kind: 'opened', at: '2026-03-01T09:00:00.000Z', reason: null, undoes: null }],
      reps: ready,
    });
    return candidatesFor([{ ...own, weaknesses: [{ ...own.weaknesses[0]!, clearance }] }], FIELD, now);
  };
  expect(withKey('2026-03-10').blocks.map((block) => block.purpose)).toEqual(['check']);
  expect(withKey('2026-03-05').blocks).toEqual([]);
  expect(withKey('2026-03-05').notToday[0]!.said).toEqual({
    say: 'today.rests',
    with: { until: '2026-03-10' },
  });
});

test('simulator-first drills go to the simulator first, and two weaknesses share a drill instead of repeating it', () => {
  const one = pilot('orientation-nose-in', []);
  expect(
    candidatesFor([one], FIELD, TODAY).beforeFlying.some(
      (each) => each.drillId === 'nose-in-hover' && each.said.say === 'today.simulator-first',
    ),
  ).toBe(true);
  const both = {
    ...one,
    weaknesses: [
      ...one.weaknesses,
      ...pilot('orientation-side-on', []).weaknesses.map((each) => ({ ...each, weaknessId: 'w2' })),
    ],
  };
  const shared = candidatesFor([both], FIELD, TODAY);
  const weaknessesOf = new Map<string, Set<string>>();
  for (const each of [...shared.blocks, ...shared.beforeFlying])
    weaknessesOf.set(each.drillId, (weaknessesOf.get(each.drillId) ?? new Set()).add(each.weaknessId!));
  for (const weaknesses of weaknessesOf.values()) expect(weaknesses.size).toBe(1);
  expect(shared.notToday.some((each) => each.said.say === 'today.counts-here-too')).toBe(true);
});

test('a worse ending next time weighs more: of two pilots with one pack the one in more danger flies', () => {
  const own = (pilotId: string, severity: number) => {
    const base = pilot(
      'overcontrol',
      reps(10, (i) => i % 2 === 0),
      { pilotId },
    );
    return { ...base, weaknesses: base.weaknesses.map((each) => ({ ...each, severity })) };
  };
  const { blocks } = candidatesFor([own('a', 2), own('b', 5)], FIELD, TODAY);
  expect(layOut(blocks, { packs: 1, packMinutes: 8, minutes: null }).packs[0]!.pilotId).toBe('b');
});

test('each block names the mode in which its reps would count, whatever the pilot usually flies in', () => {
  let seen = 0;
  for (const mode of PILOTED_MODES)
    for (const causeId of [
      'overcontrol',
      'no-gps-drift',
      'orientation-nose-in',
      'wind-displacement',
    ] as const) {
      const flies: FliesIn = { mode, holdOff: true };
      const { blocks } = candidatesFor([pilot(causeId, [], { flies })], FIELD, TODAY);
      seen += blocks.length;
      for (const block of blocks) {
        expect([block.id, modesFor(drillOf(block.drillId), flies)]).toEqual([
          block.id,
          expect.arrayContaining([block.mode]),
        ]);
      }
    }
  expect(seen).toBeGreaterThan(10);
  const hands = candidatesFor(
    [pilot('overcontrol', [], { flies: { mode: 'position-hold', holdOff: true } })],
    FIELD,
    TODAY,
  ).blocks.find(({ drillId }) => drillId === 'half-thumb');
  expect(hands?.mode).toBe('height-hold');
  expect(candidatesFor([pilot('overcontrol', [])], FIELD, TODAY).blocks[0]!.mode).toBeNull();
});

describe('the course beside weaknesses', () => {
  const shownUntil = (lesson: number) =>
    USUAL_COURSE.lessons.slice(0, lesson).flatMap(({ drillIds }) => drillIds);
  const learner = (lesson: number, more: Partial<PilotToday> = {}): PilotToday => ({
    ...{ pilotId: 'davit', windLimitMps: 6, reps: [], weaknesses: [], shown: shownUntil(lesson) },
    course: { facts: [] },
    ...more,
  });

  test('a pilot without a crash is planned: the open drills of the lesson that comes next, and no other', () => {
    for (const [nth, { drillIds }] of USUAL_COURSE.lessons.entries()) {
      const { blocks, beforeFlying } = candidatesFor([learner(nth)], FIELD, TODAY);
      const offered = new Set([...blocks, ...beforeFlying].map(({ drillId }) => drillId));
      expect([...offered].sort()).toEqual([...drillIds].sort());
      expect(
        blocks.every(
          ({ weaknessId, causeId, purpose }) =>
            weaknessId === null && causeId === null && purpose === 'practice',
        ),
      ).toBe(true);
      expect(blocks.every(({ drillId }) => drillOf(drillId).kind === 'flown')).toBe(true);
      // It can be laid out: on packs as they are, one at least is flown where anything is.
      const { packs } = layOut(blocks, { packs: 4, packMinutes: 12, minutes: null });
      expect(packs.length > 0).toBe(blocks.length > 0);
    }
    expect(candidatesFor([learner(8)], FIELD, TODAY).blocks).toEqual([]);
    const none = { ...learner(2), course: undefined } as unknown as PilotToday;
    expect(candidatesFor([none], FIELD, TODAY).blocks).toEqual([]);
  });

  test('in more wind than the lesson allows nothing is flown for it, whatever the pilot may fly in', () => {
    const windy: Conditions = { windMps: 7, place: 'open' };
    const { blocks, notToday } = candidatesFor([learner(1, { windLimitMps: 12 })], windy, TODAY);
    expect(blocks).toEqual([]);
    expect(notToday.map(({ drillId, refused }) => [drillId, refused])).toEqual(
      USUAL_COURSE.lessons[1]!.drillIds.map((id) => [id, true]),
    );
  });

  test('a drill of a weakness is left to it, which may let it rest before a check; what it rules out is ruled out', () => {
    const both = pilot('overcontrol', [], { shown: shownUntil(1), course: { facts: [] } });
    const drills = new Set(both.weaknesses[0]!.drillIds);
    const { blocks } = candidatesFor([both], FIELD, TODAY);
    const ofCourse = blocks.filter(({ weaknessId }) => weaknessId === null);
    expect(ofCourse.length).toBeGreaterThan(0);
    expect(ofCourse.filter(({ drillId }) => drills.has(drillId))).toEqual([]);
  });
});

test('who is taught to mix early mixes from three in ten met; the nose comes in small doses where it comes early', () => {
  const half = reps(10, (i) => i % 2 === 0);
  const hover = (more: Partial<PilotToday>) =>
    candidatesFor([pilot('overcontrol', half, more)], FIELD, TODAY).blocks.filter(
      ({ drillId, purpose }) => drillId === 'tail-in-hover' && purpose === 'practice',
    );
  expect(hover({}).map(({ reps: count, apartFrom }) => [count, apartFrom])).toEqual([
    [6, null],
    [6, null],
    [6, null],
  ]);
  const mixed = hover({ methods: { ...USUAL_METHODS, mixing: 'early' } });
  expect(mixed.map(({ reps: count }) => count)).toEqual([3, 3]);
  expect(mixed[0]!.apartFrom).toBe(mixed[1]!.id);
  const front = candidatesFor(
    [
      pilot('orientation-nose-in', [], {
        shown: ['side-on-hover', 'tail-in-hover', 'pop-up-takeoff', 'single-stick', 'nose-in-hover'],
        methods: { ...USUAL_METHODS, noseIn: 'early' },
      }),
    ],
    FIELD,
    TODAY,
  ).blocks.filter(({ drillId, purpose }) => drillId === 'nose-in-hover' && purpose === 'practice');
  expect(front.length).toBeGreaterThan(0);
  expect(front.every(({ reps: count }) => count <= 3)).toBe(true);
});
