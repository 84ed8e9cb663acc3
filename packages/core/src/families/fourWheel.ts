import { psi } from '../units/units';
import type { Family } from './family';
import { between, CAR_ASKS, CAR_BEAD, fourWheels } from './shared';

/** Four-wheel drives, with or without a trailer. */
export const fourWheel = {
  code: 'fourWheel',
  kind: 'car',
  tireUses: ['passenger', 'lightTruck', 'commercial'],
  axles: fourWheels(2790, 1570, true),
  asks: CAR_ASKS,
  loadMethods: ['scales', 'split', 'moments'],
  places: ['frontSeats', 'rearSeats', 'roof', 'tray', 'aheadOfFront', 'behindRear'],
  likely: {
    wheelLoadKg: between(120, 2000),
    wheelbaseMm: between(1800, 5000),
    trackMm: between(1000, 2300),
    roadKpa: between(psi(26), psi(50)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: true,
  tiresAlike: true,
  bead: CAR_BEAD,
  speedGuide: true,
  placardRules: true,
  trialStepKpa: psi(2),
} as const satisfies Family;
