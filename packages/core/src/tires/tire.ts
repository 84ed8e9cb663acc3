import type { LoadRange } from './loadRange';
import type { SpeedSymbol } from './speedSymbol';

export type Construction = 'radial' | 'bias' | 'belted';
export type TireUse = 'passenger' | 'lightTruck' | 'commercial';

/** What stands behind the size on a sidewall: load index, dual load index where given, speed symbol. */
export interface ServiceDescription {
  readonly loadIndex: number;
  readonly dualLoadIndex?: number;
  readonly speedSymbol: SpeedSymbol;
}

/** A tire as its sidewall describes it. Lengths are the nominal ones of the marking. */
export interface Tire {
  readonly notation: 'metric' | 'flotation' | 'numeric';
  readonly use: TireUse;
  readonly construction: Construction;
  readonly sectionWidthMm: number;
  readonly aspectPercent: number;
  readonly rimDiameterMm: number;
  readonly service?: ServiceDescription;
  readonly loadRange?: LoadRange;
}

/** Height of the sidewall from bead seat to tread, mm. Exact from the marking. */
export const sectionHeightMm = (tire: Tire): number => (tire.sectionWidthMm * tire.aspectPercent) / 100;

/**
 * Outer diameter, mm. Exact from the marking.
 *
 * @example a 245/75R16 is 406.4 + 2 × 183.75 = 773.9 mm
 */
export const outerDiameterMm = (tire: Tire): number => tire.rimDiameterMm + 2 * sectionHeightMm(tire);
