import { psi } from '../units/units';
import type { Family } from './family';
import { between, farm, fourWheels } from './shared';

/** Tractors, with pairs where they are fitted, and whatever is carried or drawn. */
export const tractor = {
  ...farm,
  code: 'tractor',
  axles: fourWheels(2700, 1850, true),
  asks: ['tube', 'topSpeed', 'pairs', 'driven', 'trailer', 'treadWidth', 'loadLines', 'dataSheet', 'axleRating'],
  places: ['frontWeights', 'frontLoader', 'cab', 'rearLinkage', 'rearWeights'],
  likely: {
    wheelLoadKg: between(200, 9000),
    wheelbaseMm: between(1500, 4000),
    trackMm: between(1000, 4500),
    roadKpa: between(psi(12), psi(35)),
  },
  roadSpeedKmh: 40,
  tiresAlike: false,
} as const satisfies Family;
