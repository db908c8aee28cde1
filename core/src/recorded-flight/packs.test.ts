import { packsIn } from './packs';

const of = (...shares: number[]) =>
  packsIn({ channels: new Map([['battery' as const, Float64Array.from(shares)]]) });

test('a pack that drains is one, one that rests and recovers a little is still one, a fresh one is another', () => {
  expect(of(1, 0.9, 0.6, 0.35)).toBe(1);
  expect(of(0.9, 0.4, 0.48, 0.3)).toBe(1);
  expect(of(0.95, 0.4, NaN, 0.98, 0.5, 0.97, 0.9)).toBe(3);
  // A half-full one that is put in is one too.
  expect(of(0.9, 0.3, 0.6)).toBe(2);
  expect(of(NaN, NaN)).toBe(1);
  expect(packsIn({ channels: new Map() })).toBe(1);
});
