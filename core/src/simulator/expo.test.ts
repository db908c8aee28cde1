import fc from 'fast-check';
import { expoCurve, shapedStick } from './expo';

/** A shaped stick never gives more than a stick can, and more stick never gives less. */

const stick = fc.double({ min: -1, max: 1, noNaN: true });
const shape = fc.record({
  softening: fc.double({ min: 0, max: 0.9, noNaN: true }),
  rate: fc.double({ min: 0.3, max: 1, noNaN: true }),
  trim: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
});

test('it stays within its ends, rises with the stick, and rests at its trim', () => {
  fc.assert(
    fc.property(stick, stick, shape, (a, b, shaped) => {
      const [low, high] = a < b ? [a, b] : [b, a];
      expect(shapedStick(low, shaped)).toBeLessThanOrEqual(shapedStick(high, shaped) + 1e-12);
      expect(Math.abs(shapedStick(a, shaped))).toBeLessThanOrEqual(1);
      expect(shapedStick(0, shaped)).toBeCloseTo(shaped.trim, 12);
    }),
  );
});

test('without softening, rate and trim it is the stick; at the end the rate is all there is', () => {
  fc.assert(
    fc.property(stick, (x) => {
      expect(shapedStick(x, { softening: 0, rate: 1, trim: 0 })).toBeCloseTo(x, 12);
      expect(shapedStick(x, { softening: 0.4, rate: 1, trim: 0 })).toBeCloseTo(expoCurve(x, 0.4), 12);
    }),
  );
  expect(shapedStick(1, { softening: 0.7, rate: 0.5, trim: 0 })).toBeCloseTo(0.5, 12);
  expect(shapedStick(-1, { softening: 0.7, rate: 1, trim: -0.1 })).toBe(-1);
});
