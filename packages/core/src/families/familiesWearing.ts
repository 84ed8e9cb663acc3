import { assumption, type Source } from '../sources/source';
import type { Tire } from '../tires/tire';
import { FAMILIES, familyOf, type FamilyCode } from './registry';

/** Where the usual widths of one family end and the next begins. */
export const WIDTHS_SOURCE: Source = assumption;

/** Widest tire of each bicycle, mm; a motor and city use say nothing of a width. */
const BICYCLES_BY_WIDTH: readonly (readonly [upToMm: number, family: FamilyCode])[] = [
  [34, 'roadBike'],
  [51, 'gravelBike'],
  [77, 'mountainBike'],
  [Number.POSITIVE_INFINITY, 'fatBike'],
];

/** From this width on a motorcycle tire is more likely that of a twin, mm: rear tires of trail singles end about there. */
const TWIN_FROM_MM = 135;
/** From this rim on a quad tire is more likely that of a side-by-side, mm. */
const SIDE_BY_SIDE_FROM_MM = 14 * 25.4;

function likeliest({ use, sectionWidthMm, rimDiameterMm }: Tire): FamilyCode {
  switch (use) {
    case 'bicycle':
      return BICYCLES_BY_WIDTH.find(([upToMm]) => sectionWidthMm <= upToMm)![1];
    case 'motorcycle':
      return sectionWidthMm >= TWIN_FROM_MM ? 'adventureTwin' : 'trailSingle';
    case 'quad':
      return rimDiameterMm >= SIDE_BY_SIDE_FROM_MM - 1 ? 'sideBySide' : 'quad';
    case 'commercial':
    case 'truck':
      return 'vanTruck';
    case 'farm':
      return 'tractor';
    case 'passenger':
    case 'lightTruck':
      return 'fourWheel';
  }
}

/** The families whose rigs have such a tire, the likeliest first. The person confirms which. */
export function familiesWearing(tire: Tire): FamilyCode[] {
  const first = likeliest(tire);
  const others = FAMILIES.filter(({ code }) => code !== first && familyOf(code).tireUses.includes(tire.use));
  return [first, ...others.map(({ code }) => code)];
}
