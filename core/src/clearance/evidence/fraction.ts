/** An exact fraction of whole numbers; decisions are made with these, never with a rounded number. */
export interface Fraction {
  readonly over: bigint;
  /** Above 0. */
  readonly under: bigint;
}

/** As it is written down: two whole numbers. */
export type KeptFraction = readonly [over: string, under: string];
export const keptFraction = ({ over, under }: Fraction): KeptFraction => [String(over), String(under)];
export const readFraction = ([over, under]: KeptFraction): Fraction => ({
  over: BigInt(over),
  under: BigInt(under),
});

const ZERO = BigInt(0);

const commonDivisor = (a: bigint, b: bigint): bigint => {
  let [high, low] = [a, b];
  while (low !== ZERO) [high, low] = [low, high % low];
  return high;
};

/** The fraction of two whole numbers of which the second is above 0, in lowest terms. */
export const fraction = (over: number | bigint, under: number | bigint = 1): Fraction => {
  const by = commonDivisor(BigInt(over), BigInt(under));
  return { over: BigInt(over) / by, under: BigInt(under) / by };
};

/**
 * Sum and product in lowest terms, of two that are. After years the one has thousands of digits and the other one or
 * two: only divisors of the short one are looked for. Source: Knuth, The Art of Computer Programming 2, 4.5.1.
 */
export const added = (a: Fraction, b: Fraction): Fraction => {
  const shared = commonDivisor(a.under, b.under);
  const over = a.over * (b.under / shared) + b.over * (a.under / shared);
  const by = commonDivisor(over, shared);
  return { over: over / by, under: (a.under / shared) * (b.under / by) };
};

export const multiplied = (a: Fraction, b: Fraction): Fraction => {
  const [above, below] = [commonDivisor(a.over, b.under), commonDivisor(b.over, a.under)];
  return { over: (a.over / above) * (b.over / below), under: (a.under / below) * (b.under / above) };
};

export const reaches = (a: Fraction, b: Fraction): boolean => a.over * b.under >= b.over * a.under;

export const lesserOf = (a: Fraction, b: Fraction): Fraction => (reaches(a, b) ? b : a);

/** So many digits are kept of a quotient that is drawn: whole numbers beyond 2^53 are shifted first. */
const SCALE = BigInt(10) ** BigInt(15);

/** The nearest number, for drawing; good to twelve digits from 1e-3 up and to 1e-15 below. */
export const toNumber = ({ over, under }: Fraction): number => {
  const [small, large] = [Number(over), Number(under)];
  if (Number.isFinite(small) && Number.isFinite(large)) return small / large;
  return Number((over * SCALE) / under) / Number(SCALE);
};
