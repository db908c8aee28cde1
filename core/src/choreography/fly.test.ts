import fc from 'fast-check';
import { fly, mirrored, momentAt, type ScenePose } from './fly';
import { climb, curve, forward, hold, orbit, sideways, slide, turn } from './legs';

const START: ScenePose = { x: 0, y: 6, z: 3, noseDeg: 0 };
const endOf = (legs: Parameters<typeof fly>[1], start = START) => fly(start, [...legs, hold(1)]).at(-1)!;
const close = (pose: ScenePose, x: number, y: number, z: number, noseDeg: number) => {
  expect(pose.x).toBeCloseTo(x, 6);
  expect(pose.y).toBeCloseTo(y, 6);
  expect(pose.z).toBeCloseTo(z, 6);
  expect(pose.noseDeg).toBeCloseTo(noseDeg, 6);
};

test('each axis moves what it is named for, by what was asked, and nothing else', () => {
  close(endOf(forward(15)), 0, 21, 3, 0);
  close(endOf(forward(-4)), 0, 2, 3, 0);
  close(endOf(sideways(10)), 10, 6, 3, 0);
  close(endOf(climb(-2)), 0, 6, 1, 0);
  close(endOf(turn(90)), 0, 6, 3, 90);
});

test('forward goes where the nose points: to the right at 90°, toward the pilot at 180°', () => {
  close(endOf(forward(5), { ...START, noseDeg: 90 }), 5, 6, 3, 90);
  close(endOf(forward(5), { ...START, noseDeg: 180 }), 0, 1, 3, 180);
  // Nose-in, a push to the right takes it to the pilot's left; the same yaw still turns it clockwise seen
  // from above.
  close(endOf(sideways(5), { ...START, noseDeg: 180 }), -5, 6, 3, 180);
});

test('a full circle closes, and keeps its radius all the way', () => {
  const moments = fly(START, [curve(10, 360), hold(1)]);
  const end = moments.at(-1)!;
  expect(Math.hypot(end.x - START.x, end.y - START.y)).toBeLessThan(0.05);
  expect(end.noseDeg).toBeCloseTo(360, 3);
  for (const moment of moments) expect(Math.hypot(moment.x - 10, moment.y - 6)).toBeCloseTo(10, 1);
});

test('round a post the nose stays on it', () => {
  const post = { x: 0, y: 16 };
  const moments = fly(START, [orbit(10, 1), hold(1)]);
  for (const moment of moments) {
    const bearing = (Math.atan2(post.x - moment.x, post.y - moment.y) * 180) / Math.PI;
    expect(Math.abs(((moment.noseDeg - bearing + 540) % 360) - 180)).toBeLessThan(1);
    expect(Math.hypot(moment.x - post.x, moment.y - post.y)).toBeCloseTo(10, 1);
  }
});

test('sliding, the path runs on while the nose goes round', () => {
  const moments = fly(START, [
    { sticks: { throttle: 0, yaw: 0, pitch: 0.4, roll: 0 }, seconds: 2 },
    slide({ yaw: 0.5 }, 2),
  ]);
  const end = moments.at(-1)!;
  expect(end.x).toBeCloseTo(0, 6);
  expect(end.noseDeg).toBeGreaterThan(75);
  expect(end.y).toBeGreaterThan(START.y + 7);
});

test('the other side is the mirror image: sticks, path and nose', () => {
  fc.assert(
    fc.property(fc.integer({ min: -170, max: 170 }), fc.integer({ min: 3, max: 12 }), (degrees, metres) => {
      const there = fly(START, [curve(8, degrees || 90), ...sideways(metres), hold(1)]);
      const mirror = fly(START, [curve(8, -(degrees || 90)), ...sideways(-metres), hold(1)]);
      mirrored(there).forEach((moment, i) => {
        expect(moment.x).toBeCloseTo(mirror[i]!.x, 6);
        expect(moment.y).toBeCloseTo(mirror[i]!.y, 6);
        expect(moment.sticks.yaw).toBeCloseTo(mirror[i]!.sticks.yaw, 9);
      });
    }),
    { numRuns: 30 },
  );
});

test('a moment is found by its time, also before the first and after the last', () => {
  const moments = fly(START, [...forward(2)]);
  expect(momentAt(moments, -1)).toBe(moments[0]);
  expect(momentAt(moments, 999)).toBe(moments.at(-1));
  const middle = momentAt(moments, 0.52);
  expect(middle.t).toBeLessThanOrEqual(0.52);
  expect(middle.t).toBeGreaterThan(0.52 - 0.051);
});
