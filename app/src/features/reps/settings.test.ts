import type { DrillId } from '@skelby/core/drills/drills';
import type { Chart } from '@skelby/core/clearance/clearance';
import { nextUp, sideAfter, sideNext } from './settings';

/** What the counter offers next. */

const chart = (drillId: DrillId, side: Chart['side'], reps: number, reachedAt: number | null): Chart => ({
  drillId,
  side,
  curve: {
    scale: 'score',
    scores: [0],
    limit: 3.7,
    reachedAt,
    reps,
    share: 0,
    way: 3.7,
    toGo: 10,
    since: [],
  },
});

test('the side with the fewest test reps goes next, and one that is there waits', () => {
  const charts = [
    chart('side-on-hover', 'nose-left', 10, 10),
    chart('side-on-hover', 'nose-right', 12, null),
  ];
  expect(sideNext('side-on-hover', { charts })).toBe('nose-right');
  expect(
    sideNext('side-on-hover', {
      charts: [chart('side-on-hover', 'nose-left', 4, null), chart('side-on-hover', 'nose-right', 3, null)],
    }),
  ).toBe('nose-right');
  expect(sideNext('tail-in-hover', { charts: [] })).toBeNull();
});

test('a finished side leads to the other, a finished drill to the next, and a practice rep nowhere', () => {
  const charts = [
    chart('side-on-hover', 'nose-left', 10, 10),
    chart('side-on-hover', 'nose-right', 3, null),
    chart('clock-hover', 'tail-on', 0, null),
  ];
  const here = { drillId: 'side-on-hover', side: 'nose-left', purpose: 'test' } as const;
  expect(nextUp(here, { charts, check: null })).toEqual({ drillId: 'side-on-hover', side: 'nose-right' });
  expect(nextUp(here, { charts: [charts[0]!, charts[2]!], check: null })).toEqual({
    drillId: 'clock-hover',
    side: 'tail-on',
  });
  expect(nextUp({ ...here, side: 'nose-right' }, { charts, check: null })).toBeNull();
  expect(nextUp({ ...here, purpose: 'practice' }, { charts, check: null })).toBeNull();
});

test('in a check the passed drill leads to the one that is not, and the sides go round', () => {
  const check = {
    from: '2026-03-11',
    passed: false,
    drills: [
      { drillId: 'nose-in-hover', needed: 4, met: 4, missed: 0, passed: true },
      { drillId: 'clock-hover', needed: 4, met: 1, missed: 0, passed: false },
    ],
  } as const;
  expect(nextUp({ drillId: 'nose-in-hover', side: null, purpose: 'check' }, { charts: [], check })).toEqual({
    drillId: 'clock-hover',
    side: 'tail-on',
  });
  expect(
    nextUp({ drillId: 'clock-hover', side: 'tail-on', purpose: 'check' }, { charts: [], check }),
  ).toBeNull();
  expect(
    ['tail-on', 'nose-left', 'nose-in', 'nose-right'].map((side) =>
      sideAfter('clock-hover', side as 'tail-on'),
    ),
  ).toEqual(['nose-left', 'nose-in', 'nose-right', 'tail-on']);
});
