import type { TireUse } from './tire';

interface Range {
  readonly min: number;
  readonly max: number;
}

interface SizeLimits {
  readonly sectionMm: Range;
  readonly aspectPercent: Range;
  readonly rimInch: Range;
  readonly outerMm: Range;
}

const CAR: SizeLimits = {
  sectionMm: { min: 100, max: 455 },
  aspectPercent: { min: 25, max: 120 },
  rimInch: { min: 10, max: 26 },
  outerMm: { min: 400, max: 1400 },
};

/**
 * What a tire of each use can measure, wide enough for every real one: assumptions, to catch slips of the hand while a
 * marking is typed.
 */
export const SIZE_LIMITS: Record<TireUse, SizeLimits> = {
  passenger: CAR,
  lightTruck: CAR,
  commercial: CAR,
  truck: { ...CAR, sectionMm: { min: 175, max: 500 }, outerMm: { min: 600, max: 1500 } },
  quad: {
    sectionMm: { min: 100, max: 400 },
    aspectPercent: { min: 25, max: 120 },
    rimInch: { min: 5, max: 20 },
    outerMm: { min: 300, max: 1000 },
  },
  motorcycle: {
    sectionMm: { min: 50, max: 300 },
    aspectPercent: { min: 30, max: 110 },
    rimInch: { min: 8, max: 23 },
    outerMm: { min: 350, max: 800 },
  },
  bicycle: {
    sectionMm: { min: 18, max: 140 },
    aspectPercent: { min: 100, max: 100 },
    // Bead seats of ISO 5775 are checked by name instead.
    rimInch: { min: 0, max: 30 },
    outerMm: { min: 300, max: 900 },
  },
  farm: {
    sectionMm: { min: 100, max: 1300 },
    aspectPercent: { min: 25, max: 110 },
    rimInch: { min: 8, max: 54 },
    outerMm: { min: 350, max: 2600 },
  },
};
