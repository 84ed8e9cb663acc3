import { psi } from '../units/units';
import { assumption, commonPractice } from '../sources/source';
import type { RigFormField, AxleTemplate, BeadFloors, Family, LikelyValues } from './family';

/*
 * What several families have alike. All measures are assumptions: those of a common rig, or wide of every real one.
 */

/**
 * Four-wheelers: 12 psi without bead locks and 6 with them; stuck, 6 for all. Common practice, no source.
 */
export const CAR_BEAD: BeadFloors = {
  looseKpa: psi(12),
  heldKpa: psi(6),
  stuckLooseKpa: psi(6),
  stuckHeldKpa: psi(6),
  source: commonPractice,
};

/** Quads: stiff tires have gone near 5 psi (common practice, no source); the rest is assumption. */
export const QUAD_BEAD: BeadFloors = {
  looseKpa: psi(5),
  heldKpa: psi(3),
  stuckLooseKpa: psi(4),
  stuckHeldKpa: psi(3),
  source: commonPractice,
};

/** What motorcycles hold above their last figure for a bad patch. Assumption. */
const ABOVE_BAD_PATCH = 1.25;

/** From the lowest for a bad patch, psi: common practice, no source. */
export const motorcycleBead = (loosePsi: number, heldPsi: number): BeadFloors => ({
  looseKpa: psi(loosePsi * ABOVE_BAD_PATCH),
  heldKpa: psi(heldPsi * ABOVE_BAD_PATCH),
  stuckLooseKpa: psi(loosePsi),
  stuckHeldKpa: psi(heldPsi),
  source: commonPractice,
});

/** On bicycles the rim is struck long before; this is the last a fat tire is run with. Common practice, no source. */
const BICYCLE_BEAD: BeadFloors = {
  looseKpa: psi(3),
  heldKpa: psi(3),
  stuckLooseKpa: psi(3),
  stuckHeldKpa: psi(3),
  source: commonPractice,
};

/** Farm tires turn on their rim under torque below about this. Assumption; the data sheet's first row binds before. */
const FARM_BEAD: BeadFloors = {
  looseKpa: 40,
  heldKpa: 40,
  stuckLooseKpa: 40,
  stuckHeldKpa: 40,
  source: assumption,
};

export const between = (low: number, high: number) => ({ low, high });

const axle = (
  position: AxleTemplate['position'],
  behindMm: number,
  trackMm: number | null,
  driven: boolean,
): AxleTemplate => ({ position, wheels: trackMm === null ? 1 : 2, behindMm, trackMm, driven });

/** Two axles of two wheels. */
export const fourWheels = (wheelbaseMm: number, trackMm: number, frontDriven: boolean): AxleTemplate[] => [
  axle('front', 0, trackMm, frontDriven),
  axle('rear', wheelbaseMm, trackMm, true),
];

/** Two wheels, one behind the other. */
export const inLine = (wheelbaseMm: number): AxleTemplate[] => [
  axle('front', 0, null, false),
  axle('rear', wheelbaseMm, null, true),
];

/** A trailer's axle behind its coupling. */
export const trailerAxle = (behindMm: number, trackMm: number): AxleTemplate =>
  axle('trailer', behindMm, trackMm, false);

export const CAR_ASKS: readonly RigFormField[] = [
  'tube',
  'beadLock',
  'loadRange',
  'driven',
  'trailer',
  'treadWidth',
  'loadLines',
  'dataSheet',
  'axleRating',
];

/** What is likely of a bicycle whose tires are usually ridden with so much, psi. */
export const bicycleLikely = (lowPsi: number, highPsi: number): LikelyValues => ({
  wheelLoadKg: between(10, 180),
  wheelbaseMm: between(850, 1500),
  trackMm: null,
  roadKpa: between(psi(lowPsi), psi(highPsi)),
});

/** What all bicycles have alike. */
export const bicycle = {
  kind: 'bicycle',
  tireUses: ['bicycle'],
  asks: ['tube', 'rimWidth', 'insert', 'casing'],
  loadMethods: ['scales', 'posture'],
  places: ['handlebar', 'frame', 'saddleBag', 'rearRack'],
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: false,
  tiresAlike: true,
  bead: BICYCLE_BEAD,
  speedGuide: false,
  placardRules: false,
  trialStepKpa: psi(2),
} as const satisfies Partial<Family>;

/** What all motorcycles have alike. */
export const motorcycle = {
  kind: 'motorcycle',
  tireUses: ['motorcycle'],
  asks: ['tube', 'rimLock', 'loadLines', 'axleRating'],
  loadMethods: ['scales', 'split', 'moments'],
  places: ['rider', 'passenger', 'tankBag', 'panniers', 'rearRack'],
  likely: {
    wheelLoadKg: between(40, 400),
    wheelbaseMm: between(1100, 1900),
    trackMm: null,
    roadKpa: between(psi(20), psi(42)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: false,
  tiresAlike: false,
  speedGuide: true,
  placardRules: true,
  trialStepKpa: psi(5),
} as const satisfies Partial<Family>;

/** What all farm machines have alike. */
export const farm = {
  kind: 'farm',
  tireUses: ['farm', 'lightTruck', 'truck'],
  loadMethods: ['scales', 'fullAndEmpty', 'moments'],
  drivenAxlesTurnAlike: false,
  bead: FARM_BEAD,
  speedGuide: true,
  placardRules: false,
  trialStepKpa: psi(1),
} as const satisfies Partial<Family>;
