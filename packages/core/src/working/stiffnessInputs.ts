import type { TireBuild } from '../contact/stiffness';
import { outerDiameterMm } from '../tires/tire';

/** What goes into a stiffness, for a working. */
export const stiffnessInputs = ({ tire, carcass }: TireBuild) => ({
  aspectPercent: tire.aspectPercent,
  sectionWidthMm: tire.sectionWidthMm,
  outerDiameterMm: outerDiameterMm(tire),
  carcassFactor: carcass,
});
