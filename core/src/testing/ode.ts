import * as math from 'mathjs';

/** The adaptive Runge–Kutta pair of a general maths library: there, and missing from the library's own types. */
export const { solveODE } = math as unknown as {
  solveODE: (
    rates: (t: number, y: number[]) => number[],
    span: readonly [number, number],
    start: readonly number[],
    options: object,
  ) => { readonly y: number[][] };
};
