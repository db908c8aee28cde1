import { CAUSES } from './causes';
import { FAMILIES } from './cause';
import { DRILLS, drillOf, isDrillId, mayDecide, type DrillId } from '../drills/drills';
import { allBefore, depthOf } from '../drills/prerequisites';
import { AXES, type FlightMode } from '../vocabulary/flying';
import { keyDrillsFor } from '../plan/key-drills';
import { planProblem, proposePlan } from '../plan/propose-plan';

/** The catalogue holds together: nothing dangles, nothing is unreachable, nothing is out of order. */

const MODES: readonly FlightMode[] = ['position-hold', 'self-level', 'rate'];

describe('the catalogue of causes and drills', () => {
  test('ids are unique, and every cause belongs to a family that has several', () => {
    expect(new Set(CAUSES.map((cause) => cause.id)).size).toBe(CAUSES.length);
    expect(new Set(DRILLS.map((drill) => drill.id)).size).toBe(DRILLS.length);
    for (const family of FAMILIES)
      expect(CAUSES.filter((cause) => cause.family === family).length).toBeGreaterThan(1);
  });

  test('no cause names a drill that is not there, and no drill a prerequisite that is not there', () => {
    const named = [
      ...CAUSES.flatMap((cause) => [...cause.drills, ...cause.key]),
      ...DRILLS.flatMap((drill) => drill.after),
    ];
    expect(named.filter((id) => !isDrillId(id))).toEqual([]);
  });

  test('every drill is led to by a cause, or comes before one that is', () => {
    const reached = new Set(CAUSES.flatMap((cause) => cause.drills).flatMap((id) => [id, ...allBefore(id)]));
    expect(DRILLS.map((drill) => drill.id).filter((id) => !reached.has(id))).toEqual([]);
  });

  test('prerequisites never run in a circle', () => {
    for (const drill of DRILLS) expect(() => depthOf(drill.id)).not.toThrow();
  });

  test('one stick comes before two, tail-in before side-on before nose-in', () => {
    expect(allBefore('nose-in-hover')).toEqual(
      new Set(['side-on-hover', 'tail-in-hover', 'pop-up-takeoff', 'single-stick']),
    );
  });

  test('a flown drill says which sticks it works, and a ground drill works none', () => {
    for (const drill of DRILLS) {
      if (drill.kind === 'flown') expect(drill.sticks.length).toBeGreaterThan(0);
      if (drill.kind === 'ground') expect(drill.sticks).toEqual([]);
      expect(drill.sticks.every((axis) => AXES.includes(axis))).toBe(true);
    }
  });

  test.each(CAUSES.map((cause) => [cause.id, cause] as const))(
    '%s has one or two deciding drills, flown or by lot, all of them its own, for every way of flying',
    (_, cause) => {
      for (const mode of MODES) {
        const key = keyDrillsFor(cause, mode);
        expect(key.length).toBeGreaterThanOrEqual(1);
        expect(key.length).toBeLessThanOrEqual(2);
        for (const id of key) {
          expect(cause.drills).toContain(id);
          expect(mayDecide(drillOf(id))).toBe(true);
        }
      }
    },
  );
});

describe('the proposed plan', () => {
  test.each(CAUSES.flatMap((cause) => MODES.map((mode) => [cause.id, mode] as const)))(
    'for %s in %s: two to four drills, deciding drills in it, nothing before its own prerequisite',
    (causeId, mode) => {
      const ids = proposePlan(causeId, mode).map((planned) => planned.drillId);
      expect(ids.length).toBeGreaterThanOrEqual(2);
      expect(ids.length).toBeLessThanOrEqual(4);
      expect(planProblem(causeId, mode, ids)).toBeNull();
      for (const [i, id] of ids.entries())
        expect(ids.slice(i + 1).filter((later) => allBefore(id).has(later))).toEqual([]);
    },
  );

  test('a nose-in reversal starts with the spoken drill and goes side-on before nose-in', () => {
    expect(proposePlan('orientation-nose-in', 'position-hold').map((planned) => planned.drillId)).toEqual([
      'mirror-call',
      'side-on-hover',
      'nose-in-hover',
      'clock-hover',
    ]);
  });

  test('after a panic a hold-craft pilot learns to let go, a manual pilot the safe posture', () => {
    const drills = (mode: FlightMode) =>
      proposePlan('panic-override', mode).map((planned) => planned.drillId);
    expect(drills('position-hold')).toContain('release-drill');
    expect(drills('position-hold')).not.toContain('safe-posture');
    expect(drills('rate')).toContain('safe-posture');
    expect(drills('rate')).not.toContain('release-drill');
  });

  test.each([
    [['side-on-hover', 'mirror-call'], 'plan.none-decides'],
    [['nose-in-hover', 'nose-in-hover'], 'plan.drill-twice'],
    [['nose-in-hover', 'barrel-roll'], 'plan.unknown-drill'],
    [
      [
        'nose-in-hover',
        'clock-hover',
        'single-stick',
        'half-thumb',
        'tail-in-hover',
        'fore-aft-line',
        'lateral-line',
      ],
      'plan.too-many',
    ],
  ])('a plan of %j is refused: %s', (ids, says) => {
    expect(planProblem('orientation-nose-in', 'position-hold', ids as DrillId[])?.say).toBe(says);
  });
});
