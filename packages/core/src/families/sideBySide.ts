import { psi } from '../units/units';
import type { Family } from './family';
import { between, fourWheels, QUAD_BEAD } from './shared';

/** Side-by-sides: seats, a wheel to steer with and a tray. */
export const sideBySide = {
  code: 'sideBySide',
  kind: 'quad',
  tireUses: ['quad', 'lightTruck'],
  axles: fourWheels(2050, 1300, true),
  asks: ['tube', 'beadLock', 'driven', 'treadWidth', 'loadLines', 'axleRating', 'trailer'],
  loadMethods: ['scales', 'split', 'moments'],
  places: ['frontSeats', 'rearSeats', 'tray', 'roof', 'plow'],
  likely: {
    wheelLoadKg: between(60, 700),
    wheelbaseMm: between(1500, 3500),
    trackMm: between(900, 1800),
    roadKpa: between(psi(8), psi(28)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: true,
  tiresAlike: false,
  bead: QUAD_BEAD,
  classWheelKg: { frontKg: 198, rearKg: 262 },
  speedGuide: true,
  placardRules: true,
  trialStepKpa: psi(1),
} as const satisfies Family;
