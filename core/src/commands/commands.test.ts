import fc from 'fast-check';
import type { AnyCommand } from './command';
import { commandAt, COMMANDS } from './commands';
import { newRep, recordRep } from './record-rep';

/** Everything that can be done has one name and one address, and an address leads back to it. */

const all = COMMANDS as readonly AnyCommand[];
const uuid = fc.uuid({ version: 7 });

test('names and addresses stand once', () => {
  expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
  expect(new Set(all.map(({ address }) => address.pattern)).size).toBe(all.length);
});

test.each(all.map((command) => [command.name, command] as const))(
  '%s: an address that is built is read back, with its keys, as this command',
  (_, command) => {
    const names = [...command.address.pattern.matchAll(/:(\w+)/g)].map(([, name]) => name!);
    fc.assert(
      fc.property(fc.array(uuid, { minLength: names.length, maxLength: names.length }), (values) => {
        const keys = Object.fromEntries(names.map((name, i) => [name, values[i]!]));
        expect(commandAt(command.address.build(keys))).toEqual({ command, keys });
      }),
      { numRuns: 20 },
    );
  },
);

test.each([
  '',
  '/',
  '/reps',
  '/reps/',
  '/reps/1',
  '/reps/01900000-0000-7000-8000-00000000000G',
  '/REPS/01900000-0000-7000-8000-000000000001',
  '/reps/01900000-0000-7000-8000-000000000001/taken-back/more',
  '/reps/01900000-0000-7000-8000-000000000001/',
  '/drills/../versions/01900000-0000-7000-8000-000000000001',
])('%j is the address of nothing', (path) => {
  expect(commandAt(path)).toBeNull();
});

test('a rep that does not fit its drill is refused by the field that is wrong, and one that does is not', () => {
  const rep = newRep({
    weaknessId: '01900000-0000-7000-8000-000000000001',
    drillId: 'tail-in-hover',
    purpose: 'test',
    met: true,
    side: null,
    band: 'calm',
    flownOn: 'craft',
    mode: 'position-hold',
    pilotRelative: false,
    pack: 1,
    drillVersion: 0,
    day: '2026-05-01',
    flownAt: '2026-05-01T10:00:00.000Z',
  });
  const keys = { id: '01900000-0000-7000-8000-000000000002' };
  expect(recordRep.rule(rep, keys)).toBeNull();
  expect(recordRep.rule({ ...rep, side: 'left' }, keys)?.field).toBe('side');
  expect(recordRep.rule({ ...rep, level: -1 }, keys)?.field).toBe('level');
  expect(recordRep.rule({ ...rep, missReason: 'height' }, keys)?.field).toBe('missReason');
  expect(recordRep.rule({ ...rep, drillId: 'failsafe-brief' }, keys)?.field).toBe('purpose');
  // What is said on the ground is tested by a case drawn by lot, and by none of another drill.
  expect(recordRep.rule({ ...rep, drillId: 'preflight-aloud' }, keys)?.field).toBe('caseId');
  expect(recordRep.rule({ ...rep, drillId: 'preflight-aloud', caseId: 'mast' }, keys)?.field).toBe('caseId');
  expect(recordRep.rule({ ...rep, drillId: 'preflight-aloud', caseId: 'rotor-loose' }, keys)).toBeNull();
  expect(recordRep.rule({ ...rep, caseId: 'rotor-loose' }, keys)?.field).toBe('caseId');
  expect(recordRep.rule({ ...rep, stage: 1 }, keys)?.field).toBe('stage');
  expect(recordRep.rule({ ...rep, drillId: 'leg-circuit', stage: 5 }, keys)?.field).toBe('stage');
  expect(recordRep.rule({ ...rep, drillId: 'leg-circuit', stage: 4 }, keys)).toBeNull();
  expect(recordRep.rule({ ...rep, widthSpans: 3 }, keys)?.field).toBe('widthSpans');
  expect(recordRep.rule({ ...rep, drillId: 'gap-ladder', widthSpans: 3 }, keys)).toBeNull();
  expect(
    recordRep.rule({ ...rep, drillId: 'hover-check', purpose: 'practice', flownOn: 'simulator' }, keys)
      ?.field,
  ).toBe('flownOn');
});
