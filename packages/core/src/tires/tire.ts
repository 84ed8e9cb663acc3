import type { LoadRange } from './loadRange';
import type { SpeedSymbol } from './speedSymbol';

export type Construction = 'radial' | 'bias' | 'belted';

/** What a tire is made for. */
export const TIRE_USES = [
  'passenger',
  'lightTruck',
  'commercial',
  'truck',
  'quad',
  'motorcycle',
  'bicycle',
  'farm',
] as const;
export type TireUse = (typeof TIRE_USES)[number];

/** IF carries a fifth more than a standard tire of its size at the same pressure, VF two fifths (see `flexion.ts`). */
export type Flexion = 'IF' | 'VF';

/** A load index with the speed up to which it holds. */
export interface RatedService {
  readonly loadIndex: number;
  readonly speedSymbol: SpeedSymbol;
}

/**
 * What stands behind the size on a sidewall: load index, the index of each tire of a pair where given, speed symbol,
 * and on farm tires a second rating at a higher speed (`159A8/B`).
 */
export interface ServiceDescription extends RatedService {
  readonly dualLoadIndex?: number;
  readonly faster?: RatedService;
}

export type NotationCode =
  | 'metric'
  | 'fullProfileMetric'
  | 'flotation'
  | 'numeric'
  | 'quad'
  | 'motorcycleMetric'
  | 'motorcycleInch'
  | 'bicycleIso'
  | 'bicycleFrench'
  | 'bicycleInch'
  | 'farmMetric'
  | 'farmInch';

/**
 * A tire as its sidewall describes it. Lengths are the nominal ones of the marking; how wide a bicycle tire really is
 * on its rim no marking tells. `rimDiameterMm` is the diameter of the bead seat: for bicycles that of ISO 5775, for
 * all else the inch code.
 */
export interface Tire {
  readonly notation: NotationCode;
  readonly use: TireUse;
  readonly construction: Construction;
  readonly sectionWidthMm: number;
  readonly aspectPercent: number;
  readonly rimDiameterMm: number;
  readonly service?: ServiceDescription;
  readonly loadRange?: LoadRange;
  readonly plyRating?: number;
  readonly stars?: number;
  readonly extraLoad?: true;
  /** Not for highway service (NHS): no speed on pavement is promised. */
  readonly notHighway?: true;
  readonly flexion?: Flexion;
  /** Made for cyclic field operation: a machine that fills and empties as it goes. */
  readonly cyclicField?: true;
}

/** Height of the sidewall from bead seat to tread, mm. Exact from the marking. */
export const sectionHeightMm = (tire: Tire): number => (tire.sectionWidthMm * tire.aspectPercent) / 100;

/**
 * Outer diameter, mm. Exact from the marking.
 *
 * @example a 245/75R16 is 406.4 + 2 × 183.75 = 773.9 mm
 */
export const outerDiameterMm = (tire: Tire): number => tire.rimDiameterMm + 2 * sectionHeightMm(tire);
