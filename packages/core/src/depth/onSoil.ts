import { STANDARD_GRAVITY } from '../units/units';
import { published, type Source } from '../sources/source';

export const CONTACT_ON_SOIL_SOURCE: Source = published("O'Sullivan, Henshall and Dickson 1999");

/** A tire on a field. */
export interface FieldTire {
  readonly widthM: number;
  readonly diameterM: number;
  readonly loadKg: number;
  /** Gauge. */
  readonly pressureKpa: number;
}

/** Where and how a tire stands on soil. */
export interface SoilContact {
  readonly areaM2: number;
  /** Of the ellipse: along, and across as wide as the tire. */
  readonly lengthM: number;
  readonly widthM: number;
  readonly loadKn: number;
  readonly meanKpa: number;
  /** Highest stress in it over the mean: nearly even on dry soil, a hump on wet. */
  readonly peakOverMean: number;
}

/** Firm: 0.041·b·d + 0.613·W/p. Published: O'Sullivan, Henshall and Dickson 1999. */
export const firmAreaM2 = (widthM: number, diameterM: number, loadKn: number, pressureKpa: number): number =>
  0.041 * widthM * diameterM + (0.613 * loadKn) / pressureKpa;

/** Soft: 0.310·b·d + 0.00263·W + 0.239·W/p. Published: the same. */
export const softAreaM2 = (widthM: number, diameterM: number, loadKn: number, pressureKpa: number): number =>
  0.31 * widthM * diameterM + 0.00263 * loadKn + (0.239 * loadKn) / pressureKpa;

/** Peak over mean, dry and soaked. Assumption. */
const PEAK = { dry: 1.125, wet: 2.0 };

/**
 * The contact of a tire on soil: firm and soft blended by how wet it acts, an ellipse as wide as the tire.
 *
 * @param wetness 0 dry to 1 soaked
 * @example 480/80R50 under 29.42 kN at 78.4 kPa: 0.2701 m² on firm soil, 0.4703 on soft
 */
export function contactOnSoil({ widthM, diameterM, loadKg, pressureKpa }: FieldTire, wetness: number): SoilContact {
  const loadKn = (loadKg * STANDARD_GRAVITY) / 1000;
  const firm = firmAreaM2(widthM, diameterM, loadKn, pressureKpa);
  const soft = softAreaM2(widthM, diameterM, loadKn, pressureKpa);
  const areaM2 = firm + (soft - firm) * wetness;
  return {
    areaM2,
    widthM,
    lengthM: (4 * areaM2) / (Math.PI * widthM),
    loadKn,
    meanKpa: loadKn / areaM2,
    peakOverMean: PEAK.dry + (PEAK.wet - PEAK.dry) * wetness,
  };
}

/** How a soil hands stress down: 4 dry and firm, 5 moist, 6 wet. Published: Fröhlich 1934; Söhne 1953 (from memory). */
export const concentrationAt = (wetness: number): number => 4 + 2 * wetness;
