import { create, all } from 'mathjs';
import {
  headingOf,
  leanedAndTurned,
  leanOf,
  noseAngleRad,
  type Quaternion,
  rotationOf,
  thrustAxis,
  turnLeft,
  uprightness,
} from './rotation';

// Reference: rotation matrices about an axis from mathjs, a general-purpose library.
const math = create(all!);
const about = (angle: number, [x, y, z]: readonly [number, number, number]): Quaternion => {
  const [half, size] = [Math.sin(angle / 2), Math.hypot(x, y, z)];
  return { qw: Math.cos(angle / 2), qx: (half * x) / size, qy: (half * y) / size, qz: (half * z) / size };
};
const reference = (angle: number, axis: readonly [number, number, number]): number[] =>
  (math.rotationMatrix(angle, math.matrix([...axis])).toArray() as number[][]).flat();
const TURNS = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => {
  const axis = [Math.sin(i + 1), Math.cos(2 * i), Math.sin(3 * i) + 0.2] as const;
  return [0.8 * i - 2.5, axis] as const;
});

test.each(TURNS)('turned by %d about %j body axes lie where the reference puts them', (angle, axis) => {
  const [q, wanted] = [about(angle, axis), reference(angle, axis)];
  const r = rotationOf(q);
  wanted.forEach((value, i) => expect(r[i]).toBeCloseTo(value, 12));
  thrustAxis(q).forEach((value, row) => expect(value).toBeCloseTo(wanted[3 * row + 2]!, 12));
  expect(uprightness(q)).toBeCloseTo(wanted[8]!, 12);
  expect(leanOf(q)).toBeCloseTo((Math.acos(wanted[8]!) * 180) / Math.PI, 6);
  expect(noseAngleRad(q)).toBeCloseTo(Math.atan2(wanted[3]!, wanted[0]!), 12);
});

test('the turn left from one attitude to another leads there', () => {
  TURNS.forEach(([angle, axis], i) => {
    const [to, toAxis] = TURNS[(i + 3) % TURNS.length]!;
    const left = rotationOf(turnLeft(about(angle, axis), about(to, toAxis)));
    const wanted = math.multiply(
      math.transpose(math.reshape(reference(angle, axis), [3, 3])),
      math.reshape(reference(to, toAxis), [3, 3]),
    ) as unknown as number[][];
    wanted.flat().forEach((value, at) => expect(left[at]).toBeCloseTo(value, 10));
  });
});

test('leaned and turned: the thrust axis leans where it is asked to, the nose keeps its heading', () => {
  const lean = 0.4;
  for (const toward of [0, 1, 2, 3, 4, 5]) {
    const [x, y] = [-Math.sin(toward), Math.cos(toward)];
    const tilt = [Math.cos(lean / 2), Math.sin(lean / 2) * x, Math.sin(lean / 2) * y] as const;
    const [nx, ny, nz] = thrustAxis(leanedAndTurned(tilt, Math.PI / 2));
    expect(Math.atan2(ny, nx)).toBeCloseTo(Math.atan2(Math.sin(toward), Math.cos(toward)), 10);
    expect(nz).toBeCloseTo(Math.cos(lean), 10);
  }
  expect(headingOf(leanedAndTurned([1, 0, 0], Math.PI / 2))).toBeCloseTo(0, 10);
});
