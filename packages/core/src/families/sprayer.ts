import { psi } from '../units/units';
import type { Family } from './family';
import { between, farm, fourWheels } from './shared';

/** Self-propelled sprayers: a tank that empties as they go. */
export const sprayer = {
  ...farm,
  code: 'sprayer',
  // What it carries comes and goes every hour.
  loadMethods: ['fullAndEmpty', 'scales', 'moments'],
  axles: fourWheels(3600, 2100, true),
  asks: ['tube', 'topSpeed', 'treadWidth', 'loadLines', 'dataSheet', 'axleRating'],
  places: ['sprayTank', 'boom', 'cab'],
  likely: {
    wheelLoadKg: between(500, 9000),
    wheelbaseMm: between(2000, 6000),
    trackMm: between(1300, 4500),
    roadKpa: between(psi(25), psi(65)),
  },
  roadSpeedKmh: 40,
  tiresAlike: true,
} as const satisfies Family;
