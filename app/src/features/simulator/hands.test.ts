import { sticksOf, ThrottleFrom } from './hands';

const [left, right] = [
  { across: 0.1, up: 0.2 },
  { across: 0.3, up: 0.4 },
];

test('each layout puts the axes on the hands that have them', () => {
  expect(sticksOf(2, left, right)).toEqual({ throttle: 0.2, yaw: 0.1, pitch: 0.4, roll: 0.3 });
  expect(sticksOf(1, left, right)).toEqual({ throttle: 0.4, yaw: 0.1, pitch: 0.2, roll: 0.3 });
  expect(sticksOf(3, left, right)).toEqual({ throttle: 0.4, yaw: 0.3, pitch: 0.2, roll: 0.1 });
  expect(sticksOf(4, left, right)).toEqual({ throttle: 0.2, yaw: 0.3, pitch: 0.4, roll: 0.1 });
});

test('a throttle stays where it was left, so the one that was moved last counts', () => {
  const from = new ThrottleFrom();
  expect(from.look(null, false)).toBe(false);
  // A game controller at rest says nothing until it is moved.
  expect(from.look(0, false)).toBe(false);
  expect(from.look(0.05, false)).toBe(false);
  expect(from.look(0.4, false)).toBe(true);
  from.touched();
  expect(from.look(0.4, false)).toBe(false);
  expect(from.look(0.2, false)).toBe(true);
  expect(from.look(null, false)).toBe(false);
});

test("a transmitter that has been set up flies from the start, until a thumb takes the screen's throttle", () => {
  const from = new ThrottleFrom();
  expect(from.look(-1, true)).toBe(true);
  from.touched();
  expect(from.look(-1, true)).toBe(false);
  expect(from.look(-0.5, true)).toBe(true);
});
