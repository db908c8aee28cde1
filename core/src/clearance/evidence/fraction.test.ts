import fc from 'fast-check';
import { added, fraction, multiplied } from './fraction';

/** Against the long way: multiply out, then divide by the greatest common divisor of all of it. */

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));
const plainly = (over: bigint, under: bigint) => {
  const by = gcd(over, under);
  return { over: over / by, under: under / by };
};
const whole = fc.bigInt({ min: 0n, max: 10n ** 60n });
const above = fc.bigInt({ min: 1n, max: 10n ** 60n });
const small = fc.bigInt({ min: 1n, max: 400n });
const any = fc.tuple(fc.oneof(whole, small), fc.oneof(above, small));

test('sums and products are exact and in lowest terms', () => {
  fc.assert(
    fc.property(any, any, ([ao, au], [bo, bu]) => {
      const [a, b] = [fraction(ao, au), fraction(bo, bu)];
      expect(a).toEqual(plainly(ao, au));
      expect(added(a, b)).toEqual(plainly(ao * bu + bo * au, au * bu));
      expect(multiplied(a, b)).toEqual(plainly(ao * bo, au * bu));
    }),
    { numRuns: 500 },
  );
});
