declare module 'jstat' {
  export const jStat: {
    readonly beta: {
      inv(p: number, alpha: number, beta: number): number;
      pdf(x: number, alpha: number, beta: number): number;
    };
    readonly binomial: {
      cdf(k: number, n: number, p: number): number;
      pdf(k: number, n: number, p: number): number;
    };
    gammaln(x: number): number;
    readonly chisquare: { inv(p: number, degrees: number): number };
    readonly studentt: { inv(p: number, degrees: number): number };
  };
}
