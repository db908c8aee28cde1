import { USUAL_METHODS } from '@skelby/core/methods/methods';
import { confirmation, CRAFT, id, occurrence, PILOT, rep, SITE, type Visitor } from './test-school';

const RULE = {
  edition: 2,
  test: 'evidence',
  unacceptableMissPercent: 40,
  acceptableMissPercent: 10,
  riskPercent: 10,
  plannedReps: 30,
  passDays: 2,
  checkGapDays: 7,
  testsADay: 4,
  sidesAlike: false,
  mostDaysBetweenChecks: 90,
  reason: 'As agreed.',
};

const FINDINGS = { evidence: { nose: 'toward' }, chain: [], damage: [], primary: null } as const;

/** A request that is taken as it is: method, an address that is new every time, and the body. */
export type GoodRequest = readonly [method: string, path: () => string, body: unknown];

/** One good request of every kind, and the entries in the school that they lean on. */
export async function goodRequests(trainer: Visitor): Promise<readonly GoodRequest[]> {
  const [pilotId, craftId, siteId, occurrenceId, otherId] = [id(), id(), id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${siteId}`, SITE);
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  await trainer.put(`/occurrences/${otherId}`, occurrence(pilotId));
  const { body } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation(),
  );
  const { weaknessId } = body;
  const at = '2026-03-04T09:00:00.000Z';
  const block = {
    id: 'a',
    pilotId,
    weaknessId,
    causeId: 'overcontrol',
    drillId: 'tail-in-hover',
    side: null,
    purpose: 'practice',
    level: 0,
    reps: 3,
    minutes: 3,
    gain: 1,
    isNew: false,
    after: [],
    apartFrom: null,
    why: '',
  };
  const session = {
    day: '2026-03-04',
    state: 'planned',
    siteId,
    windMps: 2,
    startsAt: '09:30',
    lightUntil: null,
    packsThere: 1,
    packMinutes: 8,
    minutes: null,
    packs: [{ pilotId, blocks: [block] }],
    goNoGo: null,
    own: [],
  };
  return [
    ['PUT', () => `/pilots/${id()}`, PILOT],
    ['PUT', () => `/craft/${id()}`, CRAFT],
    ['PUT', () => `/sites/${id()}`, SITE],
    [
      'PUT',
      () => `/flights/${id()}`,
      { pilotId, craftId, siteId, day: '2026-03-02', packs: 2, minutes: 14, windMps: 2 },
    ],
    ['PUT', () => `/occurrences/${id()}`, occurrence(pilotId, { craftId, siteId, windMps: 2 })],
    ['PUT', () => `/occurrences/${otherId}/confirmation`, confirmation()],
    ['PUT', () => `/occurrences/${id()}/withdrawn`, { reason: 'By mistake.' }],
    ['PUT', () => `/reps/${id()}`, rep(weaknessId)],
    ['PUT', () => `/reps/${id()}/taken-back`, { reason: 'Mis-tap' }],
    [
      'PUT',
      () => `/weaknesses/${weaknessId}/plans/${id()}`,
      { drillIds: ['tail-in-hover'], reason: 'One first.', at },
    ],
    [
      'PUT',
      () => `/weaknesses/${weaknessId}/moves/${id()}`,
      { kind: 'signed-early', undoes: null, at, day: '2026-03-04', reason: 'Seen on the line.' },
    ],
    [
      'PUT',
      () => `/weaknesses/${weaknessId}/stamps/${id()}`,
      { mode: 'rate', windLimitMps: 8, at, reason: 'Flies by hand now.' },
    ],
    [
      'PUT',
      () => `/weaknesses/${weaknessId}/test-sets/${id()}`,
      { drillId: 'tail-in-hover', side: null, number: 3, day: '2026-03-04', at },
    ],
    ['PUT', () => `/sessions/${id()}`, session],
    ['PUT', () => `/school/rules/${id()}`, RULE],
    ['PUT', () => '/school/units', { length: 'm', speed: 'm/s' }],
    ['PUT', () => '/school/methods', USUAL_METHODS],
    ['PUT', () => '/experience', { enabled: true }],
    [
      'PUT',
      () => `/drills/tail-in-hover/versions/${id()}`,
      { byEye: 'In the box', measured: 'In 2 m', dose: '4 a pack', reason: 'Ours.', base: 0 },
    ],
    [
      'PUT',
      () => `/occurrences/${otherId}/debrief/${id()}`,
      {
        state: 'open',
        findings: { ...FINDINGS },
        base: 0,
        reason: '',
        ...confirmation({ at }),
        undoId: null,
      },
    ],
    ['POST', () => '/v1/rank', { evidence: { nose: 'toward', first_move: 'opposite', speed_mps: 3 } }],
    ['POST', () => `/pilots/${pilotId}/links`, { id: id() }],
    [
      'POST',
      () => '/sync',
      { now: at, commands: [{ key: id(), path: `/reps/${id()}`, stamp: 'flownAt', body: rep(weaknessId) }] },
    ],
    ['POST', () => '/sign-in', { email: 'a@b.example', password: 'a long enough password' }],
    ['POST', () => '/sign-in', { email: 'b@c.example', password: 'x' }],
  ];
}
