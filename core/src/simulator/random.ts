const ROOT3 = Math.sqrt(3);

/**
 * Noise that is the same for the same seed on every engine: whole numbers only, until the very end.
 * Source: xorshift128, Marsaglia 2003; seeding by splitmix-like whole-number mixing.
 */
export class Random {
  private a: number;
  private b: number;
  private c: number;
  private d: number;

  constructor(seed: number) {
    let state = seed | 0;
    const next = () => {
      state = (state + 0x9e3779b9) | 0;
      let z = state ^ (state >>> 16);
      z = Math.imul(z, 0x21f0aaad);
      z ^= z >>> 15;
      z = Math.imul(z, 0x735a2d97);
      return z ^ (z >>> 15);
    };
    [this.a, this.b, this.c, this.d] = [next(), next(), next(), next() | 1];
  }

  /** 0 to 1, never 1. */
  uniform(): number {
    let t = this.a ^ (this.a << 11);
    this.a = this.b;
    this.b = this.c;
    this.c = this.d;
    t ^= t >>> 8;
    this.d = this.d ^ (this.d >>> 19) ^ t;
    return (this.d >>> 0) / 4_294_967_296;
  }

  /**
   * A number close to normal, mean 0 and variance 1: the sum of four uniform numbers (Irwin–Hall), scaled. Never
   * beyond ±3.5. It needs no logarithm, whose last digit differs between engines.
   */
  normal(): number {
    return ROOT3 * (this.uniform() + this.uniform() + this.uniform() + this.uniform() - 2);
  }
}
