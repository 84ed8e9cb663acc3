import { inch } from '../units/units';
import { outerDiameterMm, type Tire } from '../tires/tire';
import { writeConstruction, writeRim } from './notation';

/** Flotation and quad sizes give the outer diameter; the aspect follows from it. Exact. */
export const sizeFromOuterDiameter = (outerInch: number, widthInch: number, rimInch: number) => ({
  sectionWidthMm: inch(widthInch),
  aspectPercent: (100 * (outerInch - rimInch)) / 2 / widthInch,
  rimDiameterMm: inch(rimInch),
});

/** `35x12.50R17`, the width as given. */
export function writeOuterDiameterSize(tire: Tire, width: string): string {
  const outer = Number((outerDiameterMm(tire) / inch(1)).toFixed(2));
  return `${outer}x${width}${writeConstruction(tire)}${writeRim(tire)}`;
}
