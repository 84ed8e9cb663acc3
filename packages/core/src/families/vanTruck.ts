import { psi } from '../units/units';
import type { Family } from './family';
import { between, CAR_ASKS, CAR_BEAD, fourWheels } from './shared';

/** Vans and heavy trucks, with pairs behind where they have them. */
export const vanTruck = {
  code: 'vanTruck',
  kind: 'car',
  tireUses: ['commercial', 'truck', 'lightTruck', 'passenger'],
  axles: fourWheels(3600, 1720, false),
  asks: [...CAR_ASKS, 'pairs', 'tandem'],
  loadMethods: ['scales', 'split', 'moments'],
  places: ['frontSeats', 'rearSeats', 'roof', 'tray', 'aheadOfFront', 'behindRear'],
  likely: {
    wheelLoadKg: between(200, 6000),
    wheelbaseMm: between(2000, 8000),
    trackMm: between(1200, 2600),
    roadKpa: between(psi(40), psi(80)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: true,
  tiresAlike: true,
  bead: CAR_BEAD,
  speedGuide: true,
  placardRules: true,
  trialStepKpa: psi(2),
} as const satisfies Family;
