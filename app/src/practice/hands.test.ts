import { sticksOf } from './hands';

const [left, right] = [{ across: 0.1, up: 0.2 }, { across: 0.3, up: 0.4 }];

test('each layout puts the axes on the hands that have them', () => {
  expect(sticksOf(2, left, right)).toEqual({ throttle: 0.2, yaw: 0.1, pitch: 0.4, roll: 0.3 });
  expect(sticksOf(1, left, right)).toEqual({ throttle: 0.4, yaw: 0.1, pitch: 0.2, roll: 0.3 });
  expect(sticksOf(3, left, right)).toEqual({ throttle: 0.4, yaw: 0.3, pitch: 0.2, roll: 0.1 });
  expect(sticksOf(4, left, right)).toEqual({ throttle: 0.2, yaw: 0.3, pitch: 0.4, roll: 0.1 });
});
