import { FramePace } from './frame-pace';

const runs = (pace: FramePace, from: number, everyMs: number, pictures: number) => {
  let slow = false;
  for (let i = 0; i < pictures; i += 1) slow = pace.isSlow(from + i * everyMs);
  return slow;
};

test('a device that draws sixteen pictures a second is slow, one that draws thirty is not', () => {
  expect(runs(new FramePace(), 0, 62, 40)).toBe(true);
  expect(runs(new FramePace(), 0, 33, 300)).toBe(false);
});

test('the slower, the fewer pictures it takes to know', () => {
  expect(runs(new FramePace(), 0, 500, 5)).toBe(true);
});

test('pauses are no slow pictures, few tell nothing, and what was slow stays so', () => {
  expect(runs(new FramePace(), 0, 1_500, 200)).toBe(false);
  const pace = new FramePace();
  expect(runs(pace, 0, 62, 20)).toBe(false);
  expect(runs(pace, 10_000, 62, 20)).toBe(true);
  expect(runs(pace, 20_000, 16, 300)).toBe(true);
  expect(pace.drawn).toBe(340);
});
