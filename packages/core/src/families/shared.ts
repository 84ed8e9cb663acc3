import { psi } from '../units/units';
import type { Asked, AxleTemplate, Family, LikelyValues } from './family';

/*
 * What several families have alike. All measures are assumptions: those of a common rig, or wide of every real one.
 */

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

export const CAR_ASKS: readonly Asked[] = [
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

const BICYCLE_LIKELY: LikelyValues = {
  wheelLoadKg: between(10, 180),
  wheelbaseMm: between(850, 1500),
  trackMm: null,
  roadKpa: between(psi(5), psi(130)),
};

/** What all bicycles have alike. */
export const bicycle = {
  kind: 'bicycle',
  tireUses: ['bicycle'],
  asks: ['tube', 'rimWidth', 'insert', 'casing', 'loadLines'],
  loadMethods: ['scales', 'posture'],
  places: ['handlebar', 'frame', 'saddleBag', 'rearRack'],
  likely: BICYCLE_LIKELY,
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: false,
  tiresAlike: true,
  grounds: false,
} as const satisfies Partial<Family>;

/** What all motorcycles have alike. */
export const motorcycle = {
  kind: 'motorcycle',
  tireUses: ['motorcycle'],
  asks: ['tube', 'rimLock', 'loadLines', 'axleRating'],
  loadMethods: ['scales', 'moments'],
  places: ['rider', 'passenger', 'tankBag', 'panniers', 'rearRack'],
  likely: {
    wheelLoadKg: between(40, 400),
    wheelbaseMm: between(1100, 1900),
    trackMm: null,
    roadKpa: between(psi(8), psi(50)),
  },
  roadSpeedKmh: null,
  drivenAxlesTurnAlike: false,
  tiresAlike: false,
  grounds: false,
} as const satisfies Partial<Family>;

/** What all farm machines have alike. */
export const farm = {
  kind: 'farm',
  tireUses: ['farm', 'lightTruck', 'truck'],
  loadMethods: ['scales', 'moments'],
  drivenAxlesTurnAlike: false,
  grounds: false,
} as const satisfies Partial<Family>;
