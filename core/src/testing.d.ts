declare module 'jstat' {
  export const jStat: {
    readonly beta: { inv(p: number, alpha: number, beta: number): number };
    readonly chisquare: { inv(p: number, degrees: number): number };
  };
}
