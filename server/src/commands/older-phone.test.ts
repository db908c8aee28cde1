import type { BatchAnswer } from '@skelby/core/sync/batch';
import { ownSchool } from '../testing/own-school';
import { id } from '../testing/test-school';

/**
 * What a phone sends whose app is two versions old: it was loaded in spring and has been without signal since. The
 * bodies are written out, so that nothing here grows with the shapes.
 */

const school = ownSchool();

test('everything it recorded is taken, with the usual values for what it knew nothing of', async () => {
  const { trainer, server } = school.here;
  const [pilotId, siteId, craftId, flightId] = [id(), id(), id(), id()];
  const [occurrenceId, weaknessId, repId, setId] = [id(), id(), id(), id()];
  const at = (minute: number) => `2026-03-02T09:${String(minute).padStart(2, '0')}:00.000Z`;
  const on = { day: '2026-03-02' };
  const sent: readonly (readonly [path: string, stamp: string | null, body: object])[] = [
    [
      `/pilots/${pilotId}`,
      null,
      { name: 'Tove Lindqvane', stickLayout: 2, mode: 'position-hold', windLimitMps: 2, note: '' },
    ],
    [`/sites/${siteId}`, null, { name: 'Merrow Moor', place: 'open', tallestM: 9, note: '' }],
    [
      `/craft/${craftId}`,
      null,
      {
        ...{
          name: 'Hover 1',
          mode: 'position-hold',
          massKg: 0.9,
          spanM: 0.35,
          rotors: 4,
          rotorRadiusM: 0.105,
        },
        ...{ thrustToWeight: 1.9, topSpeedMps: 15, hasPauseSwitch: true, note: '' },
      },
    ],
    [`/flights/${flightId}`, null, { pilotId, craftId, siteId, packs: 2, minutes: 16, windMps: 1, ...on }],
    [
      `/occurrences/${occurrenceId}`,
      'happenedAt',
      {
        ...{ pilotId, kind: 'crash', causeId: 'overcontrol', note: 'Chased the mark.', craftId: null },
        ...{ siteId: null, windMps: null, happenedAt: at(0), ...on },
      },
    ],
    [
      `/occurrences/${occurrenceId}/confirmation`,
      'at',
      { causeId: 'overcontrol', weaknessId, moveId: id(), planId: id(), at: at(5) },
    ],
    [
      `/weaknesses/${weaknessId}/test-sets/${setId}`,
      'at',
      { drillId: 'tail-in-hover', side: null, number: 2, at: at(6), ...on },
    ],
    [
      `/reps/${repId}`,
      'flownAt',
      {
        ...{
          weaknessId,
          drillId: 'tail-in-hover',
          purpose: 'practice',
          met: true,
          missReason: null,
          side: null,
        },
        ...{ band: 'calm', flownOn: 'craft', mode: 'position-hold', pilotRelative: false, pack: 1 },
        ...{ flownAt: at(10), ...on },
      },
    ],
    [`/reps/${repId}/taken-back`, null, { reason: 'Another pilot.' }],
    [`/weaknesses/${weaknessId}/test-sets/${setId}/called-off`, 'at', { at: at(12) }],
    [
      `/weaknesses/${weaknessId}/stamps/${id()}`,
      'at',
      { mode: 'position-hold', windLimitMps: 3, reason: 'Flies in more wind now.', at: at(13) },
    ],
    [
      `/weaknesses/${weaknessId}/plans/${id()}`,
      null,
      { drillIds: ['single-stick', 'tail-in-hover'], reason: 'One at a time first.' },
    ],
    [
      `/weaknesses/${weaknessId}/moves/${id()}`,
      'at',
      { kind: 'signed-early', undoes: null, at: at(20), reason: 'Flew well before.', ...on },
    ],
    ['/school/units', null, { length: 'm', speed: 'm/s' }],
  ];
  const commands = sent.map(([path, stamp, body]) => ({ key: id(), path, stamp, body }));
  const { status, body } = await trainer.ask<BatchAnswer>('POST', '/api/sync', {
    ...{ sentAt: new Date().toISOString(), minutesAheadOfUtc: 0, commands },
  });
  expect(status).toBe(200);
  expect(body.results.flatMap((result, i) => (result.done ? [] : [[sent[i]![0], result]]))).toEqual([]);
  expect(await server.db('reps').where({ id: repId }).first()).toMatchObject({
    ...{ level: 0, testSetId: null, craftId: null, caseId: null, widthSpans: null, distanceM: null },
  });
  expect(await server.db('pilots').where({ id: pilotId }).first()).toMatchObject({
    ...{ holdOff: false, isMinor: false, shown: [] },
  });
});
