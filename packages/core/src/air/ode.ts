/// <reference path="./ode45-cash-karp.d.ts" />
import ode45 from 'ode45-cash-karp';

export interface Ode {
  readonly seconds: number;
  readonly values: readonly number[];
  /** One step, as long as its error allows, and never past this; false where it has come to it. */
  readonly step: (mostS: number) => boolean;
}

/** Writes how fast each value changes into the first array. */
export type Slopes = (rates: number[], values: readonly number[]) => void;

/** Error a step may make, over the value. */
const TOLERANCE = 1e-6;
/** No step shorter than this, s: a valve that shuts is a corner, and no shorter step would make it round. Longer ones would swing about on a small tank. */
const SHORTEST_S = 1e-6;
/** No step longer than this, s, so that an end that is asked for is met closely. */
const LONGEST_S = 1;

/** A set of ordinary differential equations under way, by the library's adaptive Cash–Karp method. */
export function createOde(start: readonly number[], slopes: Slopes): Ode {
  const solver = ode45([...start], (rates: number[], values: number[]) => slopes(rates, values), 0, 0.01, {
    tol: TOLERANCE,
    dtMaxMag: LONGEST_S,
    dtMinMag: SHORTEST_S,
    verbose: false,
  });
  return {
    get seconds() {
      return solver.t;
    },
    get values() {
      return solver.y;
    },
    step: (mostS) => solver.step(mostS),
  };
}
