import { psi } from '../units/units';
import type { Family } from './family';
import { between, farm, trailerAxle } from './shared';

/** Tankers and spreaders behind a tractor: a tank or bed that empties, and a drawbar that bears on the tractor. */
export const farmTrailer = {
  ...farm,
  code: 'farmTrailer',
  // What it carries comes and goes every hour.
  loadMethods: ['fullAndEmpty', 'scales', 'moments'],
  axles: [trailerAxle(4200, 1950)],
  asks: ['tube', 'topSpeed', 'tandem', 'treadWidth', 'loadLines', 'dataSheet', 'axleRating'],
  places: ['trailerFront', 'trailerMiddle', 'trailerBack'],
  likely: {
    wheelLoadKg: between(200, 8000),
    wheelbaseMm: between(1500, 9000),
    trackMm: between(1000, 3200),
    roadKpa: between(psi(20), psi(65)),
  },
  roadSpeedKmh: 40,
  tiresAlike: true,
} as const satisfies Family;
