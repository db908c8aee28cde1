/** Small square matrices in flat arrays, row by row. */

/** Share by which settled spreads differ. */
export const SAME_SPREAD = 1e-8;

/** As good as the same: spreads that have settled differ by rounding alone. */
export function isSame(a: Float64Array, from: number, b: Float64Array): boolean {
  for (let k = 0; k < b.length; k += 1)
    if (Math.abs(a[from + k]! - b[k]!) > SAME_SPREAD * Math.abs(b[k]!)) return false;
  return true;
}

export function multiply(a: Float64Array, b: Float64Array, into: Float64Array, n: number): void {
  for (let r = 0; r < n; r += 1)
    for (let c = 0; c < n; c += 1) {
      let sum = 0;
      for (let k = 0; k < n; k += 1) sum += a[r * n + k]! * b[k * n + c]!;
      into[r * n + c] = sum;
    }
}

/** X in X S = B, S symmetric and positive definite: by its Cholesky factor. @param x holds B, and then X */
export function solveFromRight(x: Float64Array, s: Float64Array, l: Float64Array, n: number): void {
  for (let r = 0; r < n; r += 1)
    for (let c = 0; c <= r; c += 1) {
      let sum = s[r * n + c]!;
      for (let k = 0; k < c; k += 1) sum -= l[r * n + k]! * l[c * n + k]!;
      l[r * n + c] = r === c ? Math.sqrt(Math.max(sum, 1e-300)) : sum / l[c * n + c]!;
    }
  for (let row = 0; row < n; row += 1) {
    const at = row * n;
    for (let c = 0; c < n; c += 1) {
      for (let k = 0; k < c; k += 1) x[at + c]! -= l[c * n + k]! * x[at + k]!;
      x[at + c]! /= l[c * n + c]!;
    }
    for (let c = n - 1; c >= 0; c -= 1) {
      for (let k = c + 1; k < n; k += 1) x[at + c]! -= l[k * n + c]! * x[at + k]!;
      x[at + c]! /= l[c * n + c]!;
    }
  }
}
