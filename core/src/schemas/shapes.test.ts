import type { ValidationError } from 'yup';
import { planShape } from '../commands/change-plan';
import { repShape } from '../commands/record-rep';
import { craftShape, occurrenceShape, pilotShape } from './records';
import { signInShape } from './sign-in';

/** Bad input is told what is wrong, what the limit is, and what to do. */

const ID = '01900000-0000-7000-8000-000000000001';
const REP = {
  weaknessId: ID,
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
  day: '2026-05-01',
  flownAt: '2026-05-01T10:00:00.000Z',
};
const PILOT = { name: 'Tove', stickLayout: 2, mode: 'rate', windLimitMps: 6.7, note: '' };

async function errorsOf(validation: Promise<unknown>): Promise<string[]> {
  try {
    await validation;
    return [];
  } catch (error) {
    return (error as ValidationError).errors;
  }
}

describe('shapes', () => {
  test('a good rep and a good pilot pass as they are', async () => {
    // What an older phone does not send is filled in: judged by eye, at the house standard.
    expect(await repShape.validate(REP)).toEqual({
      ...REP,
      level: 0,
      measure: null,
      sessionId: null,
      drillVersion: 0,
      testSetId: null,
      caseId: null,
      stage: null,
      widthSpans: null,
      distanceM: null,
      craftId: null,
    });
    expect(await pilotShape.validate(PILOT)).toEqual({
      track: 'assist-down',
      holdOff: false,
      shown: [],
      ...PILOT,
    });
  });

  test.each([
    [{ ...REP, drillId: 'barrel-roll' }, 'Drill is not a known drill: pick one from the list.'],
    [{ ...REP, purpose: 'exam' }, 'Purpose must be one of practice, test, check: pick one of these.'],
    [{ ...REP, met: 'yes' }, 'Met must be true or false.'],
    [{ ...REP, pack: 0 }, 'Pack is below 1: give a number from 1 to 40.'],
    [{ ...REP, pack: 1.5 }, 'Pack must be a whole number from 1 to 40.'],
    [{ ...REP, day: '2026-02-30' }, 'Day must be a day written YYYY-MM-DD, such as 2026-05-31.'],
    [
      { ...REP, flownAt: '2026-05-01 10:00' },
      'Time must be an instant in UTC, such as 2026-05-31T09:30:00.000Z.',
    ],
    [{ ...REP, weaknessId: '1' }, 'Weakness must be a UUID in lower case.'],
    [{ ...REP, side: 'up' }, 'Side must be one of'],
  ])('a rep with %j', async (rep, message) => {
    expect((await errorsOf(repShape.validate(rep))).join()).toContain(message);
  });

  test.each([
    [{ ...PILOT, name: '   ' }, 'Name is empty: write something.'],
    [{ ...PILOT, name: 'x'.repeat(81) }, 'Name is too long: at most 80 characters, so shorten it.'],
    [{ ...PILOT, windLimitMps: '' }, 'Wind limit is missing: give a number from 1 to 20 m/s.'],
    [{ ...PILOT, windLimitMps: 'windy' }, 'Wind limit is not a number: give one from 1 to 20 m/s.'],
    [{ ...PILOT, windLimitMps: 40 }, 'Wind limit is above 20 m/s: give a number from 1 to 20 m/s.'],
    [{ ...PILOT, stickLayout: 5 }, 'Stick layout must be one of 1, 2, 3, 4'],
  ])('a pilot with %j', async (pilot, message) => {
    expect((await errorsOf(pilotShape.validate(pilot))).join()).toContain(message);
  });

  test('all that is wrong is said at once, not one thing after another', async () => {
    expect(await errorsOf(craftShape.validate({ name: '' }, { abortEarly: false }))).toHaveLength(9);
  });

  test('numbers typed as text are taken, and an empty wind stays unknown, not nought', async () => {
    expect((await pilotShape.validate({ ...PILOT, windLimitMps: '5.5' })).windLimitMps).toBe(5.5);
    const occurrence = {
      pilotId: ID,
      kind: 'crash',
      causeId: 'wildlife',
      note: '',
      craftId: null,
      siteId: null,
      windMps: '',
      happenedAt: REP.flownAt,
      day: REP.day,
    };
    expect((await occurrenceShape.validate(occurrence)).windMps).toBeNull();
  });

  test('fields that nobody asked for are left out', async () => {
    expect(await pilotShape.validate({ ...PILOT, schoolId: 'other' })).not.toHaveProperty('schoolId');
  });

  test('an e-mail address is taken however it is typed', async () => {
    expect((await signInShape.validate({ email: '  Hanne@Field.example ', password: 'x' })).email).toBe(
      'hanne@field.example',
    );
  });

  test('a plan is a list', async () => {
    expect((await errorsOf(planShape.validate({ drillIds: 'tail-in-hover', reason: '' }))).join()).toContain(
      'list of drill ids',
    );
  });
});
