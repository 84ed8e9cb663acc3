/** The part of the statistics library that the checks use; it ships no types. */
declare module 'jstat' {
  export interface LeastSquares {
    readonly coef: number[];
    readonly t: { readonly se: number[] };
  }
  const jstat: {
    readonly models: { ols(y: number[], x: number[][]): LeastSquares };
    readonly studentt: { cdf(x: number, freedom: number): number };
    readonly tukey: { cdf(q: number, groups: number, freedom: number): number };
    readonly normal: {
      cdf(x: number, mean: number, deviation: number): number;
      inv(share: number, mean: number, deviation: number): number;
    };
  };
  export default jstat;
}
