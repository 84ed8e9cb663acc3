import { standingHeightMm, widthOnRimMm } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import { assumption, type Source } from '../sources/source';

/** How much of the box of section width by section height the air inside fills. Assumption. */
export const FILLED_SHARE = 0.8;
export const VOLUME_SOURCE: Source = assumption;

/**
 * The air inside a tire, L: 2π·r·0.8·width·height, r to the middle of the sidewall. Assumption; one timed wheel makes up
 * for what is wrong with it on every other of that size.
 *
 * @example a 205/55R16: 30.2 L
 */
export function innerVolumeL(build: TireBuild): number {
  const height = standingHeightMm(build);
  const middle = build.tire.rimDiameterMm / 2 + height / 2;
  return (2 * Math.PI * middle * FILLED_SHARE * widthOnRimMm(build) * height) / 1e6;
}
