import type { Rows } from '../numerics/alongRows';
import { commonPractice, type Source } from '../sources/source';
import { psi } from '../units/units';

/** Past the most: walking pace, straight, out of it. Common practice, no source. */
export const WALKING_KMH = 5;

/** Below its road pressure nothing goes faster than this on pavement, km/h. Assumption. */
export const BELOW_ROAD_KMH = 80;

/** Off pavement the last of what was let out is back at this speed, km/h. Assumption. */
export const ALL_BACK_KMH = 110;

/**
 * The speed that the trade drives at each pressure of its table on the reference rig, slow first. Common practice, no
 * source; straight lines between are our assumption.
 */
export const SPEED_PAIRS: Rows = [
  [WALKING_KMH, psi(6)],
  [20, psi(12)],
  [30, psi(16)],
  [40, psi(20)],
  [60, psi(24)],
  [BELOW_ROAD_KMH, psi(28)],
];
export const SPEED_PAIRS_SOURCE: Source = commonPractice;

/** Off pavement a wheel's own pressure may be this share of what the pair asks for. Assumption. */
export const OFF_PAVEMENT = 0.8;

/** Neither bend nor handling asks for more than this share of the road pressure. Assumption. */
export const BELOW_ROAD = 0.95;

/**
 * What a sidewall needs to hold a line, however lightly it is loaded: speed and pressure, on loose ground and on
 * pavement. For cars, vans and light trucks. Assumption.
 */
export const HANDLING: Readonly<Record<'loose' | 'paved', Rows>> = {
  loose: [
    [WALKING_KMH, psi(4)],
    [20, psi(7)],
    [30, psi(10)],
    [40, psi(12)],
    [BELOW_ROAD_KMH, psi(17)],
  ],
  paved: [
    [WALKING_KMH, psi(6)],
    [20, psi(10)],
    [30, psi(13)],
    [40, psi(16)],
    [BELOW_ROAD_KMH, psi(22)],
  ],
};
