import fc from 'fast-check';
import { drawFrom } from '../clearance/evidence/simulated';
import { drillOf, type DrillId } from '../drills/drills';
import type { Side } from '../drills/drill';
import type { CourseFact } from './course-facts';
import { courseStanding } from './course-standing';
import { USUAL_COURSE, USUAL_LESSONS } from './lessons';

/** A pilot without a crash goes from lesson to lesson by what was shown. */

let nth = 0;
const fact = (drillId: DrillId, part: Partial<CourseFact> = {}): CourseFact => {
  nth += 1;
  return {
    ...{
      id: `f${String(nth).padStart(6, '0')}`,
      kind: 'rep',
      drillId,
      side: null,
      met: true,
      missReason: null,
    },
    ...{ flownOn: 'craft', band: 'calm', factId: null, reason: '', day: '2026-05-01' },
    at: new Date(Date.UTC(2026, 4, 1) + nth * 60_000).toISOString(),
    ...part,
  };
};
const met = (drillId: DrillId, results: string, part: Partial<CourseFact> = {}) =>
  [...results].map((each) => fact(drillId, { met: each === '1', ...part }));
const partOf = (facts: readonly CourseFact[], drillId: DrillId, side: Side | null = null) =>
  courseStanding(USUAL_COURSE, facts)
    .lessons.flatMap(({ parts }) => parts)
    .find((part) => part.drillId === drillId && part.side === side)!;

describe('the usual course', () => {
  test('has eight lessons, no drill twice, and near limits up to the fourth', () => {
    expect(USUAL_COURSE.lessons).toHaveLength(8);
    const all = USUAL_COURSE.lessons.flatMap(({ drillIds }) => drillIds);
    expect(new Set(all).size).toBe(all.length);
    expect(USUAL_COURSE.lessons.map(({ limits: { windMps, outM, upM } }) => [windMps, outM, upM])).toEqual([
      ...Array.from({ length: 4 }, () => [6.7, 30, 15]),
      ...Array.from({ length: 4 }, () => [6.7, null, null]),
    ]);
  });

  test('keeps every drill behind those that come before it, but for the landing that ends the first hop', () => {
    const seen = new Set<DrillId>();
    const early: string[] = [];
    for (const { drillIds } of USUAL_COURSE.lessons)
      for (const id of drillIds) {
        for (const before of drillOf(id).after)
          if (!seen.has(before as DrillId)) early.push(`${before} < ${id}`);
        seen.add(id);
      }
    expect(early).toEqual(['tail-in-hover < pad-landing']);
  });
});

describe('what is shown', () => {
  test('nobody who did nothing has shown anything', () => {
    const { now, begun, lessons } = courseStanding(USUAL_COURSE, []);
    expect([now, begun]).toEqual([0, false]);
    expect(lessons.flatMap(({ parts }) => parts).every(({ shownBy }) => shownBy === null)).toBe(true);
  });

  test('seven met in a row, or nine of ten', () => {
    expect(partOf(met('single-stick', '111111'), 'single-stick')).toMatchObject({ shownBy: null, toGo: 1 });
    expect(partOf(met('single-stick', '1111111'), 'single-stick')).toMatchObject({
      shownBy: 'reps',
      toGo: 0,
    });
    expect(partOf(met('single-stick', '1101111'), 'single-stick').shownBy).toBeNull();
    expect(partOf(met('single-stick', '1111101111'), 'single-stick').shownBy).toBe('reps');
  });

  test('by brute force: of many who miss every second one about one in twelve is through within twenty, of many who miss one in ten nearly all', () => {
    const share = (missRate: number) => {
      const chance = drawFrom(11);
      const through = Array.from({ length: 1_000 }, () => {
        const results = Array.from({ length: 20 }, () => (chance() < missRate ? '0' : '1')).join('');
        return partOf(met('single-stick', results), 'single-stick').shownBy !== null;
      });
      return through.filter(Boolean).length / through.length;
    };
    const [half, tenth] = [share(0.5), share(0.1)];
    expect(half).toBeLessThan(0.1);
    expect(half).toBeGreaterThan(0.05);
    expect(tenth).toBeGreaterThan(0.95);
  }, 60_000);

  test('one test rep, as long as it is the first: not one of as many as it takes', () => {
    const test_ = (isMet: boolean) => fact('tail-in-hover', { kind: 'test', met: isMet });
    expect(partOf([test_(true)], 'tail-in-hover').shownBy).toBe('one-test');
    expect(partOf([test_(false), test_(true)], 'tail-in-hover').shownBy).toBeNull();
    expect(partOf([fact('tail-in-hover', { met: false }), test_(true)], 'tail-in-hover').shownBy).toBeNull();
    // One that was a slip of the thumb is none.
    const slip = test_(false);
    const back = fact('tail-in-hover', { kind: 'taken-back', factId: slip.id, met: false });
    expect(partOf([slip, back, test_(true)], 'tail-in-hover').shownBy).toBe('one-test');
  });

  test('each side on its own; what was seen before counts for all of them', () => {
    const left = met('side-on-hover', '1111111', { side: 'nose-left' });
    expect(partOf(left, 'side-on-hover', 'nose-left').shownBy).toBe('reps');
    expect(partOf(left, 'side-on-hover', 'nose-right').shownBy).toBeNull();
    const seen = [fact('side-on-hover', { kind: 'shown', reason: 'Flew it at the club' })];
    expect(partOf(seen, 'side-on-hover', 'nose-left').shownBy).toBe('seen-before');
    expect(partOf(seen, 'side-on-hover', 'nose-right').shownBy).toBe('seen-before');
  });

  test('on the simulator nothing is shown, but it opens what comes there first', () => {
    expect(partOf([], 'nose-in-hover').simulatorFirst).toBe(true);
    const flown = partOf(met('nose-in-hover', '1'.repeat(30), { flownOn: 'simulator' }), 'nose-in-hover');
    expect(flown).toMatchObject({ shownBy: null, simulatorFirst: false, reps: 0 });
  });

  test('a lesson once all of its drills are, and the next one then', () => {
    const ground = USUAL_COURSE.lessons[0]!.drillIds.map((id) => fact(id, { kind: 'shown', reason: 'Seen' }));
    expect(courseStanding(USUAL_COURSE, ground).now).toBe(1);
    expect(courseStanding(USUAL_COURSE, ground.slice(1)).now).toBe(0);
    expect(courseStanding(USUAL_COURSE, [], USUAL_COURSE.lessons[0]!.drillIds).now).toBe(1);
    const all = USUAL_COURSE.lessons.flatMap(({ drillIds }) => drillIds);
    expect(courseStanding(USUAL_COURSE, [], all).now).toBeNull();
    expect(USUAL_LESSONS).toHaveLength(8);
  });

  test('the order in which facts come in changes nothing; taking all back leaves nothing', () => {
    const drills = ['single-stick', 'pop-up-takeoff', 'pad-landing'] as const;
    const some = fc.array(
      fc.record({
        drill: fc.constantFrom(...drills),
        kind: fc.constantFrom('rep', 'test'),
        met: fc.boolean(),
      }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(some, fc.infiniteStream(fc.nat()), (said, picks) => {
        const facts = said.map(({ drill, kind, met: isMet }) => fact(drill, { kind, met: isMet }));
        const shuffled = [...facts]
          .map((each) => ({ each, by: picks.next().value as number }))
          .sort((a, b) => a.by - b.by)
          .map(({ each }) => each);
        expect(courseStanding(USUAL_COURSE, shuffled)).toEqual(courseStanding(USUAL_COURSE, facts));
        const back = facts.map(({ id, drillId }) =>
          fact(drillId, { kind: 'taken-back', factId: id, met: false, reason: 'Slip' }),
        );
        expect(courseStanding(USUAL_COURSE, [...facts, ...back])).toEqual(courseStanding(USUAL_COURSE, []));
      }),
      { numRuns: 60 },
    );
  });
});
