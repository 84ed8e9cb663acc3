declare module 'ode45-cash-karp' {
  interface Solver {
    readonly t: number;
    readonly y: number[];
    step(limit?: number): boolean;
  }
  export default function ode45(
    start: number[],
    slopes: (rates: number[], values: number[], t: number) => void,
    t0: number,
    dt0: number,
    options?: {
      readonly tol?: number;
      readonly dtMaxMag?: number;
      readonly dtMinMag?: number;
      readonly verbose?: boolean;
    },
  ): Solver;
}
