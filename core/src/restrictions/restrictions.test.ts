import { CAUSES, type CauseId } from '../causes/causes';
import { isDrillId, type DrillId } from '../drills/drills';
import { RESTRICTION_LIMITS } from './limits';
import { brokenBy, needsOf, type PlannedFlying, reserveOf } from './restrictions';

const flying = (more: Partial<PlannedFlying> = {}): PlannedFlying => ({
  drillId: 'tail-in-hover',
  flownOn: 'craft',
  place: 'open',
  windMps: 2,
  windLimitMps: 6,
  ...more,
});
const open = (causeId: CauseId, ...drillIds: DrillId[]) => ({ causeId, drillIds });

test('every cause says what it asks of a plan, and names drills that exist', () => {
  expect(Object.keys(RESTRICTION_LIMITS).sort()).toEqual(CAUSES.map((cause) => cause.id).sort());
  for (const limits of Object.values(RESTRICTION_LIMITS))
    for (const limit of limits)
      if (limit.limit === 'no-drills')
        for (const id of limit.drills) expect([id, isDrillId(id)]).toEqual([id, true]);
});

test('wind limit cut by a third: 4 of 6 m/s is the most, and 4.1 is refused with both numbers', () => {
  expect(brokenBy(flying({ windMps: 4 }), [open('wind-displacement')])).toEqual([]);
  expect(brokenBy(flying({ windMps: 4.1 }), [open('wind-displacement')])[0]!.said.with).toEqual({
    cause: 'wind-displacement',
    why: { say: 'limit.wind-share', with: { most: 4, windMps: 4.1 } },
  });
});

test('inside the drills of its own plan the wind limit is whole again: nothing stands in the way of clearing it', () => {
  const own = open('wind-displacement', 'crab-leg');
  expect(brokenBy(flying({ drillId: 'crab-leg', windMps: 5.9 }), [own])).toEqual([]);
  expect(brokenBy(flying({ windMps: 5.9 }), [own])).toHaveLength(1);
});

test('a place, a drill and hold switched off are refused by the weakness that rules them out, and by no other', () => {
  expect(brokenBy(flying({ place: 'trees' }), [open('obstacle-thin')])).toHaveLength(1);
  expect(brokenBy(flying({ place: 'trees' }), [open('gap-clip')])).toEqual([]);
  expect(brokenBy(flying({ drillId: 'portal-drop' }), [open('gap-clip')])).toHaveLength(1);
  expect(
    brokenBy(flying({ drillId: 'hold-off-hover', place: 'indoors' }), [
      open('no-gps-drift', 'hold-off-hover'),
    ]),
  ).toHaveLength(1);
  expect(brokenBy(flying({ drillId: 'hold-off-hover' }), [open('no-gps-drift', 'hold-off-hover')])).toEqual(
    [],
  );
});

test("a weakness's own drills stay open to it, and the simulator to all", () => {
  expect(brokenBy(flying({ drillId: 'portal-drop' }), [open('gap-clip', 'portal-drop')])).toEqual([]);
  expect(
    brokenBy(flying({ drillId: 'portal-drop', flownOn: 'simulator', place: 'indoors', windMps: 30 }), [
      open('gap-clip'),
      open('wind-displacement'),
    ]),
  ).toEqual([]);
});

test('what has to be seen to, each once, and only where it matters; the reserve goes up after a battery weakness', () => {
  expect(needsOf([open('overcontrol'), open('obstacle-overrun'), open('distraction')], 'open')).toEqual([
    'slow-setting',
    'spotter',
  ]);
  expect(needsOf([open('obstacle-overhead')], 'open')).toEqual([]);
  expect(needsOf([open('obstacle-overhead')], 'under-structure')).toEqual(['failsafe-hover']);
  expect(reserveOf([], 25)).toBe(25);
  expect(reserveOf([open('battery-overrun')], 25)).toBe(35);
});
