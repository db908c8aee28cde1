/** @jest-environment jsdom */
import { bestOf, closenessOf, keepBest, wayOf } from './bests';

/** The best flight of each kind stays on this device, and only the best. */

const replay = (x: number) => {
  const line = Float32Array.from({ length: 9 }, () => x);
  return Object.fromEntries(
    ['t', 'x', 'y', 'z', 'qw', 'qx', 'qy', 'qz', 'throttle', 'yaw', 'pitch', 'roll'].map((name) => [
      name,
      line,
    ]),
  ) as never;
};
const course = {
  stages: [{ path: { is: 'segment', from: [0, 8, 2], to: [0, 10, 2] } }],
} as never;

test('the smaller value stays, whichever came first, and says what the best was before', () => {
  expect(keepBest('hover', 0.8, replay(1))).toBeNull();
  expect(keepBest('hover', 0.9, replay(2))).toBe(0.8);
  expect(bestOf('hover')!.path[0]).toEqual([1, 1, 1]);
  expect(keepBest('hover', 0.5, replay(3))).toBe(0.8);
  expect(bestOf('hover')).toMatchObject({ value: 0.5 });
  expect(bestOf('hover')!.path).toHaveLength(3);
  expect(bestOf('ring')).toBeNull();
});

test('of many kinds the ones flown last are kept', () => {
  const now = jest.spyOn(Date, 'now');
  for (let nth = 0; nth < 40; nth += 1) {
    now.mockReturnValue(nth);
    keepBest(`kind ${nth}`, 1, replay(nth));
  }
  now.mockRestore();
  expect(bestOf('kind 39')).not.toBeNull();
  expect(bestOf('kind 3')).toBeNull();
});

test('a rep is as close to missing as the nearest of its limits; one that was missed is no best', () => {
  const values = [
    { value: 1, limit: 2, isLeast: false },
    { value: 10, limit: 9, isLeast: true },
  ] as never;
  expect(closenessOf({ met: true, values })).toBeCloseTo(0.9, 9);
  expect(closenessOf({ met: false, values })).toBeNull();
  expect(closenessOf({ met: true, values: [] })).toBe(0);
});

test('the way is drawn from its beginning to its end; a path that is drawn stays the same one until a better is kept', () => {
  const way = wayOf(course);
  expect([way[0], way.at(-1)]).toEqual([
    [0, 8, 2],
    [0, 10, 2],
  ]);
  keepBest('line', 1, replay(4));
  const drawn = bestOf('line')!.path;
  keepBest('other', 1, replay(5));
  keepBest('line', 2, replay(6));
  expect(bestOf('line')!.path).toEqual(drawn);
  expect(bestOf('line')!.path).toBe(bestOf('line')!.path);
});
