import { psi } from '../units/units';
import type { Family } from './family';
import { between, fourWheels, QUAD_BEAD } from './shared';

/** Quads: ridden, with racks, a plow or a load behind. */
export const quad = {
  code: 'quad',
  kind: 'quad',
  tireUses: ['quad', 'lightTruck'],
  axles: fourWheels(1280, 900, true),
  asks: ['tube', 'beadLock', 'driven', 'treadWidth', 'loadLines', 'axleRating', 'trailer'],
  loadMethods: ['scales', 'split', 'moments'],
  places: ['driver', 'passenger', 'frontRack', 'rearRack', 'plow'],
  likely: {
    wheelLoadKg: between(30, 400),
    wheelbaseMm: between(900, 1800),
    trackMm: between(600, 1300),
    roadKpa: between(psi(4), psi(20)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: true,
  tiresAlike: false,
  bead: QUAD_BEAD,
  classWheelKg: { frontKg: 98, rearKg: 107 },
  speedGuide: true,
  placardRules: true,
  trialStepKpa: psi(1),
} as const satisfies Family;
