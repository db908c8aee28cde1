import type { DrillId } from '@skelby/core/drills/drills';
import {
  id,
  PILOT,
  rep,
  SITE,
  startTestServer,
  type TestServer,
  type Visitor,
  withWeakness,
} from '../testing/test-school';

/** Sessions, reps that count for more than one weakness, and a pilot's own link. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const block = (pilotId: string, weaknessId: string, more: object = {}) => ({
  id: 'b',
  pilotId,
  weaknessId,
  causeId: 'overcontrol',
  drillId: 'tail-in-hover',
  side: null,
  purpose: 'practice',
  level: -1,
  reps: 6,
  minutes: 6,
  gain: 0.1,
  isNew: false,
  after: [],
  apartFrom: null,
  why: 'Practice.',
  ...more,
});
const day = new Date().toISOString().slice(0, 10);
const session = (pilotId: string, weaknessId: string, more: object = {}) => ({
  day,
  state: 'planned',
  siteId: null,
  windMps: 2,
  startsAt: '09:30',
  packsThere: 2,
  packMinutes: 8,
  minutes: null,
  packs: [{ pilotId, blocks: [block(pilotId, weaknessId)] }],
  goNoGo: null,
  own: [],
  ...more,
});

describe('a session', () => {
  test('changed by two trainers is refused to the second with both versions; the same again changes nothing', async () => {
    const { trainer } = await server.school('Ravensike');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const sessionId = id();
    const put = (more: object) =>
      trainer.put<{ theirs?: { windMps: number }; override?: { basedOn: number } }>(
        `/sessions/${sessionId}`,
        session(pilotId, weaknessId, more),
      );
    await put({});
    expect((await put({ basedOn: 1 })).status).toBe(200);
    expect((await put({ windMps: 3, basedOn: 1 })).status).toBe(200);
    const { status, body } = await put({ windMps: 5, basedOn: 1 });
    expect([status, body.theirs?.windMps, body.override]).toEqual([409, 3, { basedOn: 2 }]);
    expect((await put({ windMps: 5, ...body.override })).status).toBe(200);
    const { body: all } =
      await trainer.get<{ id: string; revision: number; content: { windMps: number } }[]>('/sessions');
    expect(all).toMatchObject([{ id: sessionId, revision: 3, content: { windMps: 5 } }]);
  });

  test('the light is an hour of the day', async () => {
    const { trainer } = await server.school('Duskwater');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const wrong = await trainer.put<{ errors: { message: string }[] }>(
      `/sessions/${id()}`,
      session(pilotId, weaknessId, { lightUntil: 'dusk' }),
    );
    expect([wrong.status, wrong.body.errors[0]?.message]).toEqual([
      422,
      'Light until must be written as hours:minutes, such as 17:45.',
    ]);
  });

  test('that the judge refuses is begun only with a reason: in more wind than the limit, or a drill that is ruled out', async () => {
    const { trainer } = await server.school('Windle Edge');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const begin = (more: object, reason = '') =>
      trainer.put<{ errors: { message: string }[] }>(
        `/sessions/${id()}`,
        session(pilotId, weaknessId, {
          state: 'running',
          goNoGo: { at: new Date().toISOString(), items: [{ words: 'All fine', ok: true }], reason },
          ...more,
        }),
      );
    expect((await begin({})).status).toBe(200);
    const windy = await begin({ windMps: 12 });
    expect(windy.status).toBe(422);
    expect(windy.body.errors[0]?.message).toMatch(/^No-go: .*Wind 12.m\/s/);
    expect((await begin({ windMps: 12 }, 'Indoors after all.')).status).toBe(200);
  });

  test('is planned, run and ended, and what was overruled stays with its reason', async () => {
    const { trainer } = await server.school('Carrowfell');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const sessionId = id();
    expect((await trainer.put(`/sessions/${sessionId}`, session(pilotId, weaknessId))).status).toBe(200);
    const goNoGo = {
      at: new Date().toISOString(),
      items: [{ words: 'Dry', ok: false }],
      reason: 'Drizzle only, under the tree line.',
    };
    await trainer.put(`/sessions/${sessionId}`, session(pilotId, weaknessId, { state: 'running', goNoGo }));
    await trainer.put(
      `/sessions/${sessionId}`,
      session(pilotId, weaknessId, {
        state: 'done',
        goNoGo,
        own: [{ pilotId, pack: 1, mistakes: ['Waits, then grabs'], next: 'Waits, then grabs' }],
      }),
    );
    const { body } =
      await trainer.get<{ id: string; content: { state: string; goNoGo: object } }[]>('/sessions');
    expect(body).toMatchObject([{ id: sessionId, content: { state: 'done', goNoGo } }]);
    const { status, body: refused } = await trainer.put<{ detail: string }>(
      `/sessions/${sessionId}`,
      session(pilotId, weaknessId),
    );
    expect([status, refused.detail]).toEqual([422, 'This session is over: plan a new one.']);
  });

  test("with a wrong field says which, and with another school's pilot is refused", async () => {
    const { trainer } = await server.school('Tarn');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const wrong = await trainer.put<{ errors: { field: string; message: string }[] }>(
      `/sessions/${id()}`,
      session(pilotId, weaknessId, {
        startsAt: 'noon',
        packs: [{ pilotId, blocks: [block(pilotId, weaknessId, { reps: 0 })] }],
      }),
    );
    expect(wrong.status).toBe(422);
    expect(wrong.body.errors.map((each) => each.field)).toEqual(
      expect.arrayContaining(['startsAt', 'packs[0].blocks[0].reps']),
    );
    const { trainer: stranger } = await server.school('Quarry');
    expect((await stranger.put(`/sessions/${id()}`, session(pilotId, weaknessId))).status).toBe(422);
  });
});

describe('reps', () => {
  const second = async (trainer: Visitor, pilotId: string) => {
    const occurrenceId = id();
    await trainer.put(`/occurrences/${occurrenceId}`, {
      pilotId,
      kind: 'near-miss',
      causeId: 'coasting',
      note: '',
      craftId: null,
      siteId: null,
      windMps: null,
      happenedAt: '2026-03-02T09:10:00.000Z',
      day: '2026-03-02',
    });
    return (
      await trainer.put<{ weaknessId: string }>(`/occurrences/${occurrenceId}/confirmation`, {
        causeId: 'coasting',
        weaknessId: id(),
        moveId: id(),
        planId: id(),
        at: '2026-03-02T09:20:00.000Z',
      })
    ).body.weaknessId;
  };

  test('of a drill that decides two weaknesses count for both, and taking one back takes it from both', async () => {
    const { trainer } = await server.school('Merrow');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const other = await second(trainer, pilotId);
    const shared = id();
    await trainer.put(`/reps/${shared}`, rep(weaknessId));
    await trainer.put(`/reps/${id()}`, rep(weaknessId, { drillId: 'half-thumb' }));
    const repsOf = async (of: string) =>
      (await trainer.get<{ reps: { drillId: DrillId; takenBack: boolean }[] }>(`/weaknesses/${of}`)).body.reps
        .filter((each) => !each.takenBack)
        .map((each) => each.drillId);
    expect(await repsOf(other)).toEqual(['tail-in-hover']);
    const rungOf = async (of: string) =>
      (await trainer.get<{ weaknesses: { id: string; rungs: number[] }[] }>('/today')).body.weaknesses.find(
        (each) => each.id === of,
      )!.rungs[0]!;
    expect(await rungOf(other)).toBeGreaterThan(0);
    await trainer.put(`/reps/${shared}/taken-back`, { reason: 'Mis-tap' });
    expect(await rungOf(other)).toBe(0);
    expect(await repsOf(other)).toEqual([]);
  });

  test('that claim another day than they were flown on are refused: two days cannot be made of one', async () => {
    const { trainer } = await server.school('Dayfell');
    const { weaknessId } = await withWeakness(trainer);
    const path = `/reps/${id()}`;
    const made = await trainer.put<{ errors: { message: string }[] }>(
      path,
      rep(weaknessId, { day: '2026-03-05', flownAt: '2026-03-03T10:00:00.000Z' }),
    );
    expect([made.status, made.body.errors[0]?.message]).toEqual([
      422,
      expect.stringContaining('Day is not the day of Time') as string,
    ]);
    // A day ahead or behind is what time zones are.
    expect((await trainer.put(path, rep(weaknessId, { day: '2026-03-04' }))).status).toBe(200);
  });

  test('show on the page of the pilot what was measured, the newest first, by the instant each was flown', async () => {
    const { trainer } = await server.school('Korrin');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const flown = [
      { measure: 1.5, flownAt: '2026-05-01T09:00:00.000Z' },
      { measure: null, flownAt: '2026-05-01T09:01:00.000Z' },
      { measure: 0.4, flownAt: '2026-05-01T09:02:00.250Z' },
      { measure: 3, flownAt: '2026-05-01T09:03:00.000Z' },
    ];
    const ids = flown.map(() => id());
    for (const [i, each] of flown.entries())
      await trainer.put(
        `/reps/${ids[i]}`,
        rep(weaknessId, { purpose: 'practice', day: '2026-05-01', ...each }),
      );
    await trainer.put(`/reps/${ids[3]}/taken-back`, { reason: 'Mis-tap' });
    const { body } = await trainer.get<{ reps: { values: object[] }[] }>(`/pilots/${pilotId}`);
    expect(body.reps.map(({ values }) => values)).toEqual([
      [2, 0].map((i) => ({ id: ids[i], flownAt: flown[i]!.flownAt, met: true, value: flown[i]!.measure })),
    ]);
  });

  test('keep how hard they were set and what was measured; a test is flown at the standard', async () => {
    const { trainer } = await server.school('Skarn');
    const { weaknessId } = await withWeakness(trainer);
    await trainer.put(`/reps/${id()}`, rep(weaknessId, { purpose: 'practice', level: -2, measure: 1.5 }));
    expect((await trainer.get<{ reps: object[] }>(`/weaknesses/${weaknessId}`)).body.reps).toMatchObject([
      { level: -2, measure: 1.5 },
    ]);
    const { status, body } = await trainer.put<{ detail: string }>(
      `/reps/${id()}`,
      rep(weaknessId, { level: -1 }),
    );
    expect([status, body.detail]).toEqual([
      422,
      'Only practice is set easier or harder: tests and checks are flown at the standard.',
    ]);
  });
});

describe("a pilot's own link", () => {
  const asPilot = (token: string) => ({ Authorization: `Bearer ${token}` });
  const made = async (trainer: Visitor, pilotId: string) =>
    (await trainer.ask<{ id: string; token: string }>('POST', `/api/pilots/${pilotId}/links`, { days: 14 }))
      .body;

  test("shows the pilot their own weaknesses and session, and nobody else's, without an account", async () => {
    const { trainer } = await server.school('Corrie');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const other = await withWeakness(trainer);
    await trainer.put(
      `/sessions/${id()}`,
      session(pilotId, weaknessId, {
        packs: [
          { pilotId, blocks: [block(pilotId, weaknessId)] },
          {
            pilotId: other.pilotId,
            blocks: [block(other.pilotId, other.weaknessId, { drillId: 'half-thumb' })],
          },
        ],
      }),
    );
    const { token } = await made(trainer, pilotId);
    const { status, body } = await server
      .visitor()
      .ask<{ pilot: { name: string }; weaknesses: object[]; session: { blocks: { drillId: DrillId }[] } }>(
        'GET',
        '/api/own',
        undefined,
        asPilot(token),
      );
    expect(status).toBe(200);
    expect(body).toMatchObject({ pilot: { name: PILOT.name }, weaknesses: [{ causeId: 'overcontrol' }] });
    expect(body.session.blocks.map((each) => each.drillId)).toEqual(['tail-in-hover']);
    expect(JSON.stringify(body)).not.toContain(other.pilotId);
  });

  test("a near-miss that the pilot tells stands on the trainer's Today, once, to be debriefed", async () => {
    const { trainer } = await server.school('Hollow');
    const { pilotId } = await withWeakness(trainer);
    const { token } = await made(trainer, pilotId);
    const told = {
      causeId: 'wildlife',
      note: 'A kite came down at it.',
      happenedAt: new Date().toISOString(),
      day,
    };
    const key = id();
    for (let times = 0; times < 2; times += 1)
      expect(
        (await server.visitor().ask('PUT', `/api/own/near-miss/${key}`, told, asPilot(token))).status,
      ).toBe(200);
    const { body } = await trainer.get<{ toDebrief: { id: string; note: string; kind: string }[] }>('/today');
    expect(body.toDebrief.filter((each) => each.id === key)).toMatchObject([
      { kind: 'near-miss', note: 'From the pilot: A kite came down at it.' },
    ]);
    const short = await server
      .visitor()
      .ask<{ errors: { field: string }[] }>(
        'PUT',
        `/api/own/near-miss/${id()}`,
        { ...told, note: '' },
        asPilot(token),
      );
    expect([short.status, short.body.errors[0]!.field]).toEqual([422, 'note']);
  });

  test('a rep that the pilot flew alone goes to the weakness that plans it, as practice on the simulator whatever was sent, once', async () => {
    const { trainer } = await server.school('Ghyll');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const { token } = await made(trainer, pilotId);
    const flown = {
      drillId: 'tail-in-hover',
      met: true,
      missReason: null,
      side: null,
      band: 'calm',
      mode: 'position-hold',
      pilotRelative: false,
      pack: 1,
      day,
      flownAt: new Date().toISOString(),
    };
    const put = (body: object, key = id()) =>
      server
        .visitor()
        .ask<{ errors?: { field: string }[]; detail?: string }>(
          'PUT',
          `/api/own/reps/${key}`,
          body,
          asPilot(token),
        );
    const key = id();
    for (let times = 0; times < 2; times += 1) expect((await put(flown, key)).status).toBe(200);
    const { body } = await trainer.get<{ reps: { id: string; purpose: string; flownOn: string }[] }>(
      `/weaknesses/${weaknessId}`,
    );
    expect(body.reps).toMatchObject([{ id: key, purpose: 'practice', flownOn: 'simulator' }]);
    expect((await put({ ...flown, drillId: 'orbit-the-post' })).status).toBe(409);
    for (const forged of [{ flownOn: 'craft' }, { purpose: 'test' }])
      expect((await put({ ...flown, ...forged })).status).toBe(200);
    const after = await trainer.get<{ reps: { purpose: string; flownOn: string }[] }>(
      `/weaknesses/${weaknessId}`,
    );
    expect(after.body.reps.map((rep) => [rep.purpose, rep.flownOn])).toEqual(
      Array.from({ length: 3 }, () => ['practice', 'simulator']),
    );
  });

  test('taken back, run out or made up, it leads nowhere; the token is nowhere in the database', async () => {
    const { trainer } = await server.school('Old Mill');
    const { pilotId } = await withWeakness(trainer);
    const { id: linkId, token } = await made(trainer, pilotId);
    const statusOf = async (of: string) =>
      (await server.visitor().ask('GET', '/api/own', undefined, asPilot(of))).status;
    expect(await statusOf(token)).toBe(200);
    expect((await trainer.get<{ links: object[] }>(`/pilots/${pilotId}`)).body.links).toHaveLength(1);
    const { rows } = (await server.db.raw('select row_to_json(l) as row from pilot_links l')) as {
      rows: { row: object }[];
    };
    expect(JSON.stringify(rows)).not.toContain(token);
    await trainer.put(`/links/${linkId}/revoked`, {});
    expect(await statusOf(token)).toBe(404);
    expect(await statusOf('A'.repeat(32))).toBe(404);
    const later = await made(trainer, pilotId);
    await server
      .db('pilot_links')
      .where({ id: later.id })
      .update({ expiresAt: new Date(Date.now() - 1000) });
    expect(await statusOf(later.token)).toBe(404);
    // With no link at all it is asked who is signed in.
    expect((await server.visitor().ask('GET', '/api/own')).status).toBe(401);
  });

  test('bound to its first device it opens on no other, and is seen when it was used', async () => {
    const { trainer } = await server.school('Scree');
    const { pilotId } = await withWeakness(trainer);
    const { body: link } = await trainer.ask<{ id: string; token: string }>(
      'POST',
      `/api/pilots/${pilotId}/links`,
      { days: 3, binds: true },
    );
    const links = async () =>
      (await trainer.get<{ links: { lastUsedAt: string | null; binds: boolean }[] }>(`/pilots/${pilotId}`))
        .body.links;
    expect(await links()).toEqual([expect.objectContaining({ binds: true, lastUsedAt: null })]);
    const [phone, other] = [server.visitor(), server.visitor()];
    const open = (who: Visitor) => who.ask('GET', '/api/own', undefined, asPilot(link.token));
    expect((await open(phone)).status).toBe(200);
    expect((await open(phone)).status).toBe(200);
    const refused = await open(other);
    expect([refused.status, refused.body['detail']]).toEqual([
      403,
      expect.stringMatching(/device that opened it first/),
    ]);
    expect((await links())[0]!.lastUsedAt).not.toBeNull();
    // A browser with two links opens both: its cookie says which device it is, not whose.
    const { body: second } = await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, {
      days: 3,
      binds: true,
    });
    expect((await phone.ask('GET', '/api/own', undefined, asPilot(second.token))).status).toBe(200);
    expect((await open(phone)).status).toBe(200);
  });

  test('where and when somebody flies it tells only where the trainer allows it', async () => {
    const { trainer } = await server.school('Narrows');
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const siteId = id();
    await trainer.put(`/sites/${siteId}`, { ...SITE, name: 'Secret meadow' });
    await trainer.put(`/sessions/${id()}`, session(pilotId, weaknessId, { siteId, startsAt: '06:45' }));
    const told = async (tellsWhen?: boolean) => {
      const { body } = await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, {
        days: 3,
        ...(tellsWhen === undefined ? {} : { tellsWhen }),
      });
      return JSON.stringify(
        (await server.visitor().ask('GET', '/api/own', undefined, asPilot(body.token))).body,
      );
    };
    expect(await told()).toContain('tail-in-hover');
    for (const word of ['Secret meadow', '06:45']) {
      expect(await told()).not.toContain(word);
      expect(await told(true)).toContain(word);
    }
  });

  test('another school can neither make nor take back a link', async () => {
    const { trainer } = await server.school('Ridge');
    const { pilotId } = await withWeakness(trainer);
    const { id: linkId, token } = await made(trainer, pilotId);
    const { trainer: stranger } = await server.school('Valley');
    expect((await stranger.ask('POST', `/api/pilots/${pilotId}/links`, { days: 3 })).status).toBe(404);
    await stranger.put(`/links/${linkId}/revoked`, {});
    expect((await server.visitor().ask('GET', '/api/own', undefined, asPilot(token))).status).toBe(200);
  });
});

describe('standards and own drills', () => {
  const standard = (more: object = {}) => ({
    byEye: '90 s within a pace',
    measured: '90 s, 1 m',
    dose: '4 a pack',
    reason: 'Our crews hold longer.',
    base: 0,
    ...more,
  });
  interface Version {
    drillId: DrillId;
    number: number;
    reps: number;
    reason: string;
    fields: { byEye: string };
  }

  test('every version is kept, with who and why, and reps stay with the one they were flown under', async () => {
    const { trainer } = await server.school('Winch');
    const { weaknessId } = await withWeakness(trainer);
    await trainer.put(`/reps/${id()}`, rep(weaknessId));
    const first = id();
    for (let times = 0; times < 2; times += 1)
      expect(
        (await trainer.put<{ number: number }>(`/drills/tail-in-hover/versions/${first}`, standard())).body
          .number,
      ).toBe(1);
    for (let reps = 0; reps < 3; reps += 1)
      await trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, { drillVersion: 1, flownAt: `2026-03-03T10:1${reps}:00.000Z` }),
      );
    await trainer.put(`/drills/tail-in-hover/versions/${id()}`, standard({ byEye: '120 s', base: 1 }));
    const { body } = await trainer.get<Version[]>('/drills');
    expect(body.map(({ number, reps, fields }) => [number, reps, fields.byEye])).toEqual([
      [2, 0, '120 s'],
      [1, 3, '90 s within a pace'],
    ]);
    expect(body[0]).toMatchObject({
      reason: 'Our crews hold longer.',
      by: expect.stringMatching(/^Trainer/) as string,
    });
  });

  test('two trainers who change it at once: the second sees both', async () => {
    const { trainer } = await server.school('Ladder');
    await trainer.put(`/drills/half-thumb/versions/${id()}`, standard({ byEye: 'Theirs' }));
    const { status, body } = await trainer.put(
      `/drills/half-thumb/versions/${id()}`,
      standard({ byEye: 'Mine' }),
    );
    expect(status).toBe(409);
    expect(body).toMatchObject({ theirs: { byEye: 'Theirs' }, override: { base: 1 } });
  });

  test('an own drill can be practised, and is never a test', async () => {
    const { trainer } = await server.school('Rope');
    const { weaknessId } = await withWeakness(trainer);
    const own = `own-${id()}`;
    const drill = {
      name: 'Winch hover',
      trains: 'Standing over the winch point',
      task: 'Hover over the cross for a minute.',
      group: 'hover',
      kind: 'flown',
      simulator: 'allowed',
      sticks: ['pitch'],
      caution: '',
      ...standard(),
    };
    expect((await trainer.put(`/drills/${own}/versions/${id()}`, drill)).status).toBe(200);
    expect(
      (
        await trainer.put(`/weaknesses/${weaknessId}/plans/${id()}`, {
          drillIds: ['tail-in-hover', own],
          reason: 'Winch work comes next.',
        })
      ).status,
    ).toBe(200);
    expect(
      (await trainer.put(`/reps/${id()}`, rep(weaknessId, { drillId: own, purpose: 'practice' }))).status,
    ).toBe(200);
    expect((await trainer.put(`/drills/${own}/versions/${id()}`, { ...drill, name: '' })).status).toBe(422);
    expect((await trainer.put(`/drills/no-such-drill/versions/${id()}`, standard())).status).toBe(404);
    const { trainer: stranger } = await server.school('Stranger');
    expect((await stranger.get<Version[]>('/drills')).body).toEqual([]);
  });
});
