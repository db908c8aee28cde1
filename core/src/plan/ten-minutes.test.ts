import fc from 'fast-check';
import { CAUSES } from '../causes/causes';
import { courseStanding } from '../course/course-standing';
import { USUAL_COURSE } from '../course/lessons';
import { drillOf, type DrillId } from '../drills/drills';
import { practiceOf } from '../simulator/practice';
import { proposePlan } from './propose-plan';
import { type AtHome, HOME_MINUTES, tenMinutes, type WeaknessAtHome } from './ten-minutes';

/** Ten minutes at home are ten minutes, and nobody's check is moved by them. */

const FLOWN_HERE = new Set(
  CAUSES.flatMap(({ drills }) => drills)
    .concat(USUAL_COURSE.lessons.flatMap(({ drillIds }) => drillIds))
    .filter((id) => drillOf(id).kind === 'flown' && practiceOf(id, null, 'position-hold') !== null),
);
const isFlownHere = (drillId: DrillId) => FLOWN_HERE.has(drillId);
const day = (nth: number) => new Date(Date.UTC(2026, 5, 1) + nth * 86_400_000).toISOString().slice(0, 10);

const weakness: fc.Arbitrary<WeaknessAtHome> = fc.record({
  drillIds: fc
    .constantFrom(...CAUSES)
    .map(({ id }) => proposePlan(id, 'position-hold').map(({ drillId }) => drillId)),
  testShare: fc.double({ min: 0, max: 1, noNaN: true }),
  rests: fc.boolean(),
  isOnWatch: fc.boolean(),
});
const home: fc.Arbitrary<AtHome> = fc.record({
  weaknesses: fc.array(weakness, { maxLength: 6 }),
  course: fc
    .integer({ min: -1, max: 7 })
    .map((nth) => (nth < 0 ? [] : courseStanding(USUAL_COURSE, []).lessons[nth]!.parts)),
  today: fc.integer({ min: 0, max: 800 }).map(day),
  isFlownHere: fc.constant(isFlownHere),
});

/** What might be flown, by the words of the promise alone. */
const mayBeFlown = ({ weaknesses, course }: AtHome): ReadonlySet<DrillId> =>
  new Set([
    ...weaknesses.filter(({ rests }) => !rests).flatMap(({ drillIds }) => drillIds.filter(isFlownHere)),
    ...course.map(({ drillId }) => drillId).filter(isFlownHere),
  ]);

test('never more than ten minutes, no drill twice, none that rests, a side wherever there are sides', () => {
  fc.assert(
    fc.property(home, (at) => {
      const blocks = tenMinutes(at);
      const may = mayBeFlown(at);
      expect(blocks.reduce((sum, { minutes }) => sum + minutes, 0)).toBeLessThanOrEqual(HOME_MINUTES);
      expect(new Set(blocks.map(({ drillId }) => drillId)).size).toBe(blocks.length);
      for (const { drillId, side, reps } of blocks) {
        expect(reps).toBeGreaterThan(1);
        expect(may.has(drillId)).toBe(true);
        const { sides } = drillOf(drillId);
        expect(side === null ? sides.length === 0 : sides.includes(side)).toBe(true);
      }
      // Whoever has something to fly is offered something.
      expect(blocks.length > 0).toBe(may.size > 0);
    }),
    { numRuns: 500 },
  );
});

test('every drill has its turn: within as many days as there are, none is left out', () => {
  fc.assert(
    fc.property(home, (at) => {
      const may = mayBeFlown(at);
      const met = new Set(
        Array.from({ length: Math.max(1, may.size) }, (_, nth) => tenMinutes({ ...at, today: day(nth) }))
          .flat()
          .map(({ drillId }) => drillId),
      );
      expect([...may].filter((id) => !met.has(id))).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

test('what holds up the course comes first; a weakness on watch comes after one that is open', () => {
  const course = courseStanding(USUAL_COURSE, []).lessons.find(
    ({ lesson }) => lesson.id === 'nose-in',
  )!.parts;
  const open: WeaknessAtHome = {
    ...{ drillIds: ['tail-in-hover'], testShare: 0.2, rests: false, isOnWatch: false },
  };
  const watched: WeaknessAtHome = { ...open, drillIds: ['fore-aft-line'], isOnWatch: true };
  const at = { weaknesses: [watched, open], course, today: day(1), isFlownHere };
  expect(tenMinutes(at)[0]).toMatchObject({ why: 'course-waits' });
  expect(tenMinutes({ ...at, course: [] }).map(({ drillId }) => drillId)).toEqual([
    'tail-in-hover',
    'fore-aft-line',
  ]);
  expect(tenMinutes({ ...at, course: [], weaknesses: [{ ...open, rests: true }] })).toEqual([]);
});
