import { CAUSES } from '../causes/causes';
import { drillOf, type DrillId } from '../drills/drills';
import { allBefore, depthOf } from '../drills/prerequisites';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { isProposal, PLAN_CEILING, proposePlan } from './propose-plan';

const ids = (...args: Parameters<typeof proposePlan>) =>
  proposePlan(...args).map((planned) => planned.drillId);

test('what a pilot has never met and a drill builds on is put in before it; what was met is not', () => {
  const beginner = ids('orientation-nose-in', 'position-hold', { met: [] });
  expect(beginner.indexOf('tail-in-hover')).toBeGreaterThanOrEqual(0);
  expect(beginner.indexOf('tail-in-hover')).toBeLessThan(beginner.indexOf('side-on-hover'));
  expect(ids('orientation-nose-in', 'position-hold', { met: ['tail-in-hover'] })).not.toContain(
    'tail-in-hover',
  );
  expect(ids('orientation-nose-in', 'position-hold')).not.toContain('tail-in-hover');
});

test('every proposal keeps the order of the lesson, whatever the cause, the mode and the track', () => {
  for (const cause of CAUSES)
    for (const mode of FLIGHT_MODES)
      for (const track of ['assist-down', 'manual-first'] as const) {
        const plan = ids(cause.id, mode, { track, met: [] });
        expect(plan.length).toBeLessThanOrEqual(PLAN_CEILING);
        expect(new Set(plan).size).toBe(plan.length);
        const flown = plan.filter((id) => drillOf(id).kind === 'flown');
        for (const [i, id] of flown.entries())
          for (const later of flown.slice(i + 1))
            expect([cause.id, mode, id, allBefore(id).has(later)]).toEqual([cause.id, mode, id, false]);
        expect(flown.map((id) => depthOf(id))).toEqual(
          [...flown.map((id) => depthOf(id))].sort((a, b) => a - b),
        );
      }
});

test('the manual track brings what is flown without help sooner than the other', () => {
  const without = (plan: readonly DrillId[]) => plan.filter((id) => drillOf(id).assistance !== 'as-flown');
  for (const cause of CAUSES)
    for (const mode of FLIGHT_MODES) {
      const [manual, assisted] = [
        ids(cause.id, mode, { track: 'manual-first' }),
        ids(cause.id, mode, { track: 'assist-down' }),
      ];
      expect(without(manual).length).toBeGreaterThanOrEqual(without(assisted).length);
      if ([...manual].sort().join() === [...assisted].sort().join())
        for (const id of without(assisted))
          expect(manual.indexOf(id)).toBeLessThanOrEqual(assisted.indexOf(id));
    }
  expect(
    CAUSES.some((cause) =>
      FLIGHT_MODES.some(
        (mode) => ids(cause.id, mode, { track: 'manual-first' }).join() !== ids(cause.id, mode).join(),
      ),
    ),
  ).toBe(true);
});

test("the chain's first breakable link brings its deciding drill along, and says so", () => {
  const planned = proposePlan('obstacle-overrun', 'position-hold', { link: 'distraction' });
  expect(planned).toContainEqual({
    drillId: 'pause-then-talk',
    why: { because: 'link', causeId: 'distraction' },
  });
  expect(planned.map((each) => each.drillId)).toEqual(
    expect.arrayContaining(['brake-to-mark', 'climb-over']),
  );
  expect(ids('obstacle-overrun', 'position-hold', { link: 'obstacle-overrun' })).toEqual(
    ids('obstacle-overrun', 'position-hold'),
  );
});

test('a proposal is recognised as one for what is known of the pilot', () => {
  const plan = ids('orientation-nose-in', 'position-hold', { met: [] });
  expect(isProposal('orientation-nose-in', 'position-hold', plan, { met: [] })).toBe(true);
  expect(isProposal('orientation-nose-in', 'position-hold', plan)).toBe(false);
});
