import { commonPractice } from '../sources/source';
import { outerDiameterMm } from '../tires/tire';
import type { Check } from './finding';

/** Driven axles whose tires differ by more than this share of their diameter fight each other. Assumption. */
export const DIAMETER_SHARE = 0.02;

/** Two diameters on axles that are driven together wind up the drive. */
export const drivenDiameters = {
  severity: 'danger',
  source: commonPractice,
  find: ({ family, axles }) => {
    if (!family.drivenAxlesTurnAlike) return [];
    const [first, ...others] = axles.filter(({ driven }) => driven);
    if (!first) return [];
    const frontMm = outerDiameterMm(first.tire);
    return others.flatMap(({ position, tire }) => {
      const rearMm = outerDiameterMm(tire);
      if (Math.abs(rearMm - frontMm) <= DIAMETER_SHARE * frontMm) return [];
      return [{ code: 'drivenDiameters', front: first.position, rear: position, frontMm, rearMm }];
    });
  },
} as const satisfies Check;
