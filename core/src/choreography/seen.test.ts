import { craftPoints, EYE_M, fixedView, horizonIn, seen, turningView } from './seen';

const AHEAD = { bearingDeg: 0, tiltDeg: 0, halfDeg: 45 };

test('straight ahead at eye height is the middle of the view; at 45° aside its edge; twice as far looks half as high', () => {
  expect(seen({ x: 0, y: 10, z: EYE_M }, AHEAD)).toEqual({ across: 0, up: 0, awayM: 10 });
  expect(seen({ x: 10, y: 10, z: EYE_M }, AHEAD).across).toBeCloseTo(1, 9);
  expect(seen({ x: 0, y: 10, z: EYE_M + 2 }, AHEAD).up).toBeCloseTo(
    2 * seen({ x: 0, y: 20, z: EYE_M + 2 }, AHEAD).up,
    9,
  );
});

test('turned to the right, what is to the right is straight ahead', () => {
  expect(seen({ x: 8, y: 0, z: EYE_M }, { bearingDeg: 90, tiltDeg: 0, halfDeg: 30 })).toMatchObject({
    across: expect.closeTo(0, 9) as number,
    awayM: expect.closeTo(8, 9) as number,
  });
});

test('a movement in front is seen without turning, one all round is not', () => {
  expect(
    fixedView([
      { x: -3, y: 10, z: 3 },
      { x: 3, y: 10, z: 3 },
    ]),
  ).toMatchObject({ bearingDeg: 0 });
  expect(
    fixedView([
      { x: -10, y: 0.1, z: 3 },
      { x: 10, y: 0.1, z: 3 },
      { x: 0, y: -10, z: 3 },
    ]),
  ).toBeNull();
  expect(turningView({ x: 5, y: 5, z: 3 }).bearingDeg).toBeCloseTo(45, 9);
});

test("nose to the pilot, its right rotors are on the pilot's left; leaning forward its nose is lower", () => {
  const [frontRight] = craftPoints({ x: 0, y: 10, z: 3, noseDeg: 180 }, 0.4, { forward: 0, right: 0 });
  expect(frontRight!.x).toBeLessThan(0);
  expect(frontRight!.y).toBeLessThan(10);
  const leaning = craftPoints({ x: 0, y: 10, z: 3, noseDeg: 0 }, 0.4, { forward: 20, right: 0 });
  expect(leaning[4]!.z).toBeLessThan(3);
  expect(leaning[2]!.z).toBeGreaterThan(3);
});

test('looking up by 45°, what is 45° up is in the middle, and far level ground lies where the horizon does', () => {
  const up = { bearingDeg: 0, tiltDeg: 45, halfDeg: 30 };
  expect(seen({ x: 0, y: 10, z: EYE_M + 10 }, up).up).toBeCloseTo(0, 9);
  expect(seen({ x: 0, y: 1e7, z: 0 }, up).up).toBeCloseTo(horizonIn(up), 5);
});
