import { CAUSES } from '@skelby/core/causes/causes';
import type { CauseId } from '@skelby/core/causes/causes';
import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import {
  CRAFT,
  id,
  startTestServer,
  type TestServer,
  type Visitor,
  withOccurrence,
} from '../testing/test-school';

/** A debrief from the first answer to its amended record, over the API. */

let server: TestServer;
let trainer: Visitor;
let other: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  ({ trainer } = await server.school('Carrow Fell'));
  ({ trainer: other } = await server.school('Harrow Bay'));
});
afterAll(() => server.close());

const NOSE_IN = {
  phase: 'landing',
  nose: 'toward',
  first_move: 'opposite',
  correction_effect: 'grew',
} as const;
const DONE = {
  ...NO_FINDINGS,
  evidence: NOSE_IN,
  ownPick: 'orientation-nose-in',
  primary: 'orientation-nose-in',
  actual: 'minor',
  injury: 'none',
};

const version = (more: object = {}) => ({
  base: 0,
  state: 'closed',
  reason: '',
  at: '2026-03-02T10:00:00.000Z',
  weaknessId: id(),
  moveId: id(),
  undoId: id(),
  planId: id(),
  findings: DONE,
  ...more,
});
const save = (occurrenceId: string, body: object, versionId = id(), who = trainer) =>
  who.put<{
    number: number;
    weaknessId: string | null;
    detail: string;
    errors: { field: string; message: string }[];
  }>(`/occurrences/${occurrenceId}/debrief/${versionId}`, body);
interface Page {
  debrief: { number: number; state: string; findings: typeof DONE } | null;
  versions: { number: number; state: string; reason: string | null; by: string }[];
}
const page = async (occurrenceId: string) =>
  (await trainer.get<Page>(`/occurrences/${occurrenceId}/debrief`)).body;

test('a first save keeps what was told; closing confirms the cause and opens its weakness', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  expect(await page(occurrenceId)).toEqual({ debrief: null, versions: [] });
  expect(
    (
      await save(
        occurrenceId,
        version({
          state: 'open',
          findings: { ...NO_FINDINGS, evidence: { nose: 190, speed_mps: { value: 4, within: 1 } } },
        }),
      )
    ).body,
  ).toMatchObject({ number: 1, weaknessId: null });
  expect((await page(occurrenceId)).debrief).toMatchObject({
    number: 1,
    state: 'open',
    findings: { evidence: { nose: 190, speed_mps: { value: 4, within: 1 } } },
  });
  const closed = await save(occurrenceId, version({ base: 1 }));
  expect(closed.status).toBe(200);
  const weakness = await trainer.get<{ weakness: { causeId: CauseId } }>(
    `/weaknesses/${closed.body.weaknessId}`,
  );
  expect(weakness.body.weakness.causeId).toBe('orientation-nose-in');
});

test('the same version twice is one version; one made from an old version is refused and loses nothing', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  const versionId = id();
  await save(occurrenceId, version({ state: 'open' }), versionId);
  expect((await save(occurrenceId, version({ state: 'open' }), versionId)).body.number).toBe(1);
  const late = await save(occurrenceId, version({ state: 'open' }));
  expect([late.status, late.body.detail]).toEqual([
    409,
    expect.stringContaining('Somebody saved this debrief meanwhile'),
  ]);
  expect((await page(occurrenceId)).versions).toHaveLength(1);
});

test('what closing wants is said field by field, and nothing is saved', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  const { status, body } = await save(
    occurrenceId,
    version({ findings: { ...NO_FINDINGS, primary: 'wildlife', evidence: NOSE_IN } }),
  );
  expect(status).toBe(422);
  expect(body.errors.map((each) => each.field)).toEqual([
    'findings.overruleReason',
    'findings.actual',
    'findings.injury',
  ]);
  expect((await page(occurrenceId)).versions).toEqual([]);
});

test.each([
  [{ evidence: { colour: 'red' } }, 'colour is not a question'],
  [{ evidence: { speed_mps: 900 } }, 'speed_mps must lie from 0 to 60 m/s'],
  [{ injury: 'bruise' }, 'Injury must be one of none, first-aid, medical'],
])('findings with %j are refused by name', async (more, message) => {
  const { occurrenceId } = await withOccurrence(trainer);
  const { status, body } = await save(occurrenceId, version({ findings: { ...DONE, ...more } }));
  expect([status, body.detail]).toEqual([422, expect.stringContaining(message)]);
});

test('a closed debrief is changed only with a reason, every version stays, and another cause moves the weakness', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  const first = await save(occurrenceId, version());
  expect((await save(occurrenceId, version({ base: 1 }))).body.errors).toEqual([
    { field: 'reason', message: 'This debrief is closed: say in a few words why it is changed.' },
  ]);
  const second = await save(
    occurrenceId,
    version({
      base: 1,
      reason: 'The film shows the nose away.',
      findings: { ...DONE, primary: 'wrong-stick', overruleReason: 'Seen on film.' },
    }),
  );
  expect(second.body.weaknessId).not.toBe(first.body.weaknessId);
  const old = await trainer.get<{ weakness: { state: string } }>(`/weaknesses/${first.body.weaknessId}`);
  expect(old.body.weakness.state).toBe('withdrawn');
  expect((await page(occurrenceId)).versions).toMatchObject([
    { number: 2, state: 'closed', reason: 'The film shows the nose away.', by: 'Trainer 1' },
    { number: 1, state: 'closed', reason: null },
  ]);
});

test('reopened, it keeps its weakness until it is closed otherwise; taking the confirmation back opens it too', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  const {
    body: { weaknessId },
  } = await save(occurrenceId, version());
  expect(
    (await save(occurrenceId, version({ base: 1, state: 'open', reason: 'More to ask.' }))).body.weaknessId,
  ).toBe(weaknessId);
  await save(occurrenceId, version({ base: 2, reason: 'Asked.' }));
  await trainer.put(`/occurrences/${occurrenceId}/confirmation/taken-back`, {
    moveId: id(),
    at: '2026-03-02T11:00:00.000Z',
    reason: 'Wrong pilot.',
  });
  expect((await page(occurrenceId)).debrief).toMatchObject({ number: 4, state: 'open' });
});

test('another school sees none of it', async () => {
  const { occurrenceId } = await withOccurrence(trainer);
  await save(occurrenceId, version());
  expect((await other.get<Page>(`/occurrences/${occurrenceId}/debrief`)).body).toEqual({
    debrief: null,
    versions: [],
  });
  expect((await save(occurrenceId, version(), id(), other)).status).toBe(404);
});

describe("the school's own experience", () => {
  interface Learnt {
    enabled: boolean;
    lessons: number;
    counts: { causes: Record<string, number> };
  }
  test('learns from own picks and overrulings, not from going along; amending unlearns; it can be switched off', async () => {
    const { trainer: own } = await server.school('Third');
    const learnt = async () => (await own.get<Learnt>('/experience')).body;
    expect(await learnt()).toMatchObject({ enabled: true, lessons: 0 });
    const close = async (findings: object) => {
      const { occurrenceId } = await withOccurrence(own);
      await save(occurrenceId, version({ findings: { ...DONE, ...findings } }), id(), own);
      return occurrenceId;
    };
    await close({});
    const amended = await close({ ownPick: null, primary: 'wrong-stick', overruleReason: 'I stood there.' });
    await close({ ownPick: 'wildlife' });
    expect(await learnt()).toMatchObject({
      lessons: 2,
      counts: { causes: { 'orientation-nose-in': 1, 'wrong-stick': 1 } },
    });
    const ask = async () =>
      (
        await own.ask<{ causes: { id: string; probability: number }[] }>('POST', '/api/v1/rank', {
          evidence: { phase: 'hover' },
        })
      ).body.causes.find((cause) => cause.id === 'wrong-stick')!.probability;
    const withOwn = await ask();
    expect((await own.put<Learnt>('/experience', { enabled: false })).body.enabled).toBe(false);
    expect(await ask()).toBeLessThan(withOwn);
    await own.put('/experience', { enabled: true });
    expect(await ask()).toBeCloseTo(withOwn, 12);
    await save(amended, version({ base: 1, state: 'open', reason: 'Not sure after all.' }), id(), own);
    expect(await learnt()).toMatchObject({ lessons: 1 });
  });
});

test('what the ranking says is held against what was decided: the latest version of each closed debrief, of its own school', async () => {
  type Degrees = { said: number; debriefs: number; decidedSo: number; interval: { low: number } }[];
  const school = await server.school('Held Against');
  const read = async (who: Visitor) => (await who.get<Degrees>('/experience/calibration')).body;
  expect(await read(school.trainer)).toEqual([]);
  const as = async (primary: string, more: object = {}) => {
    const { occurrenceId } = await withOccurrence(school.trainer);
    const findings = { ...DONE, primary, overruleReason: 'Seen.', ...more };
    expect((await save(occurrenceId, version({ findings }), id(), school.trainer)).status).toBe(200);
    return { occurrenceId, findings };
  };
  const first = await as('orientation-nose-in');
  await as('distraction');
  // Too little was told to say anything.
  await as('distraction', { evidence: { nose: 'toward' } });
  const [degree, ...others] = await read(school.trainer);
  expect(others).toEqual([]);
  expect(degree).toMatchObject({ debriefs: 2, decidedSo: 1 });
  expect(degree!.said).toBeGreaterThan(0.5);
  // Amended, it counts once, as it stands.
  const amended = version({
    base: 1,
    reason: 'He says otherwise.',
    at: '2026-03-02T11:00:00.000Z',
    findings: { ...first.findings, primary: 'overcontrol' },
  });
  expect((await save(first.occurrenceId, amended, id(), school.trainer)).status).toBe(200);
  expect(await read(school.trainer)).toMatchObject([{ debriefs: 2, decidedSo: 0 }]);
  expect(await read((await server.school('Elsewhere')).trainer)).toEqual([]);
});

describe('POST /api/v1/rank', () => {
  interface Ranked {
    causes: {
      id: string;
      probability: number;
      reasons: { evidence: string; weight: number; words: string }[];
    }[];
    nextQuestions: { id: string; gain: number }[];
    sums: { id: string; answer: string; inputs: Record<string, unknown> }[];
    detail: string;
    errors: { field: string }[];
  }
  const ask = (body: unknown, who = trainer) => who.ask<Ranked>('POST', '/api/v1/rank', body);

  test('ranks every cause with reasons, says what to ask next, and works out the sums', async () => {
    const { status, body } = await ask({
      craft: { massKg: 1.2, spanM: 0.4 },
      evidence: { ...NOSE_IN, speed_mps: 9, seen_at_m: 6 },
    });
    expect(status).toBe(200);
    expect(body.causes).toHaveLength(CAUSES.length);
    expect(body.causes[0]).toMatchObject({ id: 'orientation-nose-in' });
    expect(body.causes.reduce((sum, cause) => sum + cause.probability, 0)).toBeCloseTo(1, 9);
    expect(body.causes[0]!.reasons[0]).toEqual({
      evidence: 'nose',
      sign: 'mirrored',
      weight: expect.any(Number),
      words: expect.any(String),
    });
    expect(body.nextQuestions[0]).toEqual({
      id: expect.any(String),
      gain: expect.any(Number),
      isCore: expect.any(Boolean),
    });
    expect(body.sums.find((sum) => sum.id === 'stop')).toMatchObject({
      inputs: { speed_mps: 9, seen_at_m: 6 },
      answer: expect.stringMatching(/^No: it needed \d\d\sm and had 6\sm/),
    });
  });

  test("takes one of the school's craft by its key, and nobody else's", async () => {
    const craft = id();
    await trainer.put(`/craft/${craft}`, { ...CRAFT, massKg: 5 });
    const of = async (given: unknown) =>
      (await ask({ craft: given, evidence: { descent_mps: 3, travel: 'straight-down' } })).body.causes.find(
        (cause) => cause.id === 'wash-settling',
      )!.probability;
    expect(await of(craft)).toBeLessThan(await of(null));
    expect((await ask({ craft }, other)).body.errors).toEqual([
      { field: 'craft', message: expect.stringContaining('no such craft in your school') },
    ]);
  });

  test.each([
    [{ evidence: { nosee: 'toward' } }, 'evidence.nosee', 'nosee is not a question'],
    [{ evidence: { speed_mps: '8 km/h' } }, 'evidence.speed_mps', 'speed_mps is not a number'],
    [{ evidence: { height_m: { value: 20, unit: 'ft' } } }, 'evidence.height_m', 'send it in "m"'],
    [{ evidence: { battery_pct: -5 } }, 'evidence.battery_pct', 'from 0 to 100 %'],
    [{ craft: { massKg: 0 }, evidence: {} }, 'massKg', 'massKg is below 0.02'],
    [{ craft: 7 }, 'craft', 'craft must be the key'],
    [{ proof: {} }, '', 'proof means nothing here'],
  ])('%j is a 422 that names the field', async (body, field, message) => {
    const answer = await ask(body);
    expect([answer.status, answer.body.errors[0]!.field, answer.body.detail]).toEqual([
      422,
      field,
      expect.stringContaining(message),
    ]);
  });

  test('nobody without a session is answered', async () => {
    expect((await ask({}, server.visitor())).status).toBe(401);
  });
});

test('what has to be reported is kept as a whole, told to its own school only, and refused where a part is missing', async () => {
  const rules = [{ when: 'crash', to: 'The insurer', withinHours: 48 }];
  expect((await trainer.put('/school/reporting', { rules })).status).toBe(200);
  const seen = async (visitor: Visitor) =>
    (await visitor.get<{ reporting: unknown }>('/roster')).body.reporting;
  expect(await seen(trainer)).toEqual(rules);
  const { trainer: stranger } = await server.school('Reports nothing');
  expect(await seen(stranger)).toEqual([]);
  const refused = await trainer.put<{ detail: string }>('/school/reporting', {
    rules: [{ when: 'sometimes', to: '', withinHours: 0 }],
  });
  expect(refused.status).toBe(422);
  expect(refused.body.detail).toMatch(/When must be one of .*Whom to tell is empty.*Within is below 0.5 h/s);
  expect(await seen(trainer)).toEqual(rules);
});

test("the school's units are kept and said; a unit there is none of is refused", async () => {
  expect((await trainer.get<{ units: object }>('/me')).body.units).toEqual({ length: 'm', speed: 'm/s' });
  expect((await trainer.put('/school/units', { length: 'ft', speed: 'kn' })).body).toEqual({
    length: 'ft',
    speed: 'kn',
  });
  expect((await trainer.get<{ units: object }>('/me')).body.units).toEqual({ length: 'ft', speed: 'kn' });
  expect((await other.get<{ units: object }>('/me')).body.units).toEqual({ length: 'm', speed: 'm/s' });
  expect((await trainer.put('/school/units', { length: 'furlong', speed: 'kn' })).status).toBe(422);
});
