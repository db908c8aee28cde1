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
    return (error as ValidationError).errors.map((each) => JSON.stringify(each));
  }
}

describe('shapes', () => {
  test('a good rep and a good pilot pass as they are', async () => {
    // What an older phone does not send is filled in: judged by eye, at the house standard.
    expect(await repShape.validate(REP)).toEqual({
      ...REP,
      level: 0,
      measure: null,
      judgedBy: null,
      sessionId: null,
      drillVersion: 0,
      testSetId: null,
      caseId: null,
      stage: null,
      widthSpans: null,
      distanceM: null,
      lateReason: '',
      craftId: null,
    });
    expect(await pilotShape.validate(PILOT)).toEqual({
      track: 'assist-down',
      holdOff: false,
      isMinor: false,
      consentBy: '',
      shown: [],
      methods: { holdOff: null, noseIn: null, gapSpeed: null, sensors: null, mixing: null },
      ...PILOT,
    });
  });

  test.each([
    [{ ...REP, drillId: 'barrel-roll' }, 'field.no-drill'],
    [{ ...REP, purpose: 'exam' }, 'field.other-choice'],
    [{ ...REP, met: 'yes' }, 'field.no-yes-no'],
    [{ ...REP, pack: 0 }, 'field.below'],
    [{ ...REP, pack: 1.5 }, 'field.not-whole'],
    [{ ...REP, day: '2026-02-30' }, 'field.no-day'],
    [{ ...REP, flownAt: '2026-05-01 10:00' }, 'field.no-instant'],
    [{ ...REP, weaknessId: '1' }, 'field.no-key'],
    [{ ...REP, side: 'up' }, 'field.other-choice-or-empty'],
  ])('a rep with %j', async (rep, message) => {
    expect((await errorsOf(repShape.validate(rep))).join()).toContain(message);
  });

  test.each([
    [{ ...PILOT, name: '   ' }, 'field.empty'],
    [{ ...PILOT, name: 'x'.repeat(81) }, 'field.too-long'],
    [{ ...PILOT, windLimitMps: '' }, 'field.number-missing'],
    [{ ...PILOT, windLimitMps: 'windy' }, 'field.no-number'],
    [
      { ...PILOT, windLimitMps: 40 },
      '"field.above","with":{"label":"wind-limit","least":1,"most":20,"unit":" m/s"}',
    ],
    [{ ...PILOT, stickLayout: 5 }, '"values":[1,2,3,4]'],
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
      'field.no-drills',
    );
  });
});
