import fc from 'fast-check';
import { CAUSES } from '../causes/causes';
import { courseBy, USUAL_COURSE } from '../course/lessons';
import { drillOf, type DrillId } from '../drills/drills';
import { allBefore } from '../drills/prerequisites';
import { keyDrillsFor } from '../plan/key-drills';
import { PLAN_CEILING, proposePlan } from '../plan/propose-plan';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { gapSpeedIn, METHOD_QUESTIONS, type Methods, METHODS, methodsFor, USUAL_METHODS } from './methods';

/** A way of teaching leads elsewhere to the same: what decides, and what comes before what, is no matter of method. */

const anyMethods = fc.record(
  Object.fromEntries(METHOD_QUESTIONS.map((question) => [question, fc.constantFrom(...METHODS[question])])),
) as unknown as fc.Arbitrary<Methods>;
const known = (methods: Methods) => ({ track: methods.assistance, methods });

describe('plans', () => {
  test('every cause in every mode: the same drills decide, nothing before what it builds on, no more than fits', () => {
    fc.assert(
      fc.property(
        anyMethods,
        fc.constantFrom(...CAUSES),
        fc.constantFrom(...FLIGHT_MODES),
        fc.boolean(),
        (methods, cause, mode, isNew) => {
          const beside = { ...known(methods), ...(isNew ? { met: [] } : {}) };
          const ids = proposePlan(cause.id, mode, beside).map(({ drillId }) => drillId);
          expect(ids).toEqual(expect.arrayContaining([...keyDrillsFor(cause, mode)]));
          expect(new Set(ids).size).toBe(ids.length);
          expect(ids.length).toBeLessThanOrEqual(PLAN_CEILING);
          for (const [i, id] of ids.entries())
            for (const later of ids.slice(i + 1)) expect(allBefore(id).has(later)).toBe(false);
        },
      ),
      { numRuns: 2_000 },
    );
  });

  test('the usual way is what is proposed where nothing is said', () => {
    for (const { id } of CAUSES)
      for (const mode of FLIGHT_MODES)
        expect(proposePlan(id, mode, { methods: USUAL_METHODS })).toEqual(proposePlan(id, mode));
  });

  test('each question but mixing changes some plan, and a drill put in by it says so', () => {
    const changed = (question: keyof Methods) =>
      METHODS[question].slice(1).every((answer) =>
        CAUSES.some(({ id }) =>
          FLIGHT_MODES.some((mode) => {
            const plan = (methods: Methods) =>
              proposePlan(id, mode, known(methods)).map(({ drillId }) => drillId);
            return plan({ ...USUAL_METHODS, [question]: answer }).join() !== plan(USUAL_METHODS).join();
          }),
        ),
      );
    for (const question of METHOD_QUESTIONS.filter((each) => each !== 'mixing'))
      expect([question, changed(question)]).toEqual([question, true]);
    const planned = proposePlan('obstacle-blind-side', 'position-hold', {
      methods: { ...USUAL_METHODS, sensors: 'used' },
    });
    expect(planned).toContainEqual({
      drillId: 'sensor-find-out',
      why: { because: 'method', question: 'sensors' },
    });
  });
});

test('a course of any method has the same lessons and drills, none before what it builds on, and near limits until side-on is shown', () => {
  fc.assert(
    fc.property(anyMethods, (methods) => {
      const { lessons } = courseBy(methods);
      expect(lessons.map(({ id }) => id).sort()).toEqual(USUAL_COURSE.lessons.map(({ id }) => id).sort());
      const seen = new Set<DrillId>();
      const early: string[] = [];
      for (const { drillIds } of lessons)
        for (const id of drillIds) {
          for (const before of drillOf(id).after) if (!seen.has(before)) early.push(`${before} < ${id}`);
          seen.add(id);
        }
      expect(early).toEqual(['tail-in-hover < pad-landing']);
      const sideOn = lessons.findIndex(({ id }) => id === 'walk-and-side-on');
      expect(lessons.map(({ limits }) => limits.outM)).toEqual(
        lessons.map((_, nth) => (nth <= sideOn ? 30 : null)),
      );
    }),
  );
});

test('hold off and the nose come sooner in the course of who is taught them early', () => {
  const place = (methods: Partial<Methods>, lesson: string) =>
    courseBy({ ...USUAL_METHODS, ...methods }).lessons.findIndex(({ id }) => id === lesson);
  expect([place({}, 'hold-off'), place({ holdOff: 'early' }, 'hold-off')]).toEqual([6, 3]);
  expect([place({}, 'nose-in'), place({ noseIn: 'early' }, 'nose-in')]).toEqual([5, 4]);
});

test('a pilot is taught as the school teaches, but for what is their own; the track is always theirs', () => {
  const school: Methods = { ...USUAL_METHODS, mixing: 'early', sensors: 'used', assistance: 'manual-first' };
  expect(
    methodsFor(school, { track: 'assist-down', methods: { sensors: 'as-if-off', mixing: null } }),
  ).toEqual({
    ...school,
    assistance: 'assist-down',
    sensors: 'as-if-off',
  });
  expect(methodsFor(null, { track: 'assist-down' })).toEqual(USUAL_METHODS);
});

test('a gap is flown slow by what holds itself, faster by what does not, or as the school has it', () => {
  expect(FLIGHT_MODES.map((mode) => gapSpeedIn(USUAL_METHODS, mode))).toEqual(
    FLIGHT_MODES.map((mode) => (mode === 'position-hold' || mode === 'programmed' ? 'slow' : 'faster')),
  );
  expect(gapSpeedIn({ gapSpeed: 'slow' }, 'rate')).toBe('slow');
});
