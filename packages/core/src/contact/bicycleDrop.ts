import { assumption, published, type Source } from '../sources/source';
import { psi, toCanonical } from '../units/units';

export const DROP_SOURCE: Source = published('Bicycle Quarterly, drop measurements, 2006');

/** A bicycle tire is about as high as it is wide. Assumption: a drop in percent is taken of the measured width. */
export const DROP_HEIGHT_SOURCE: Source = assumption;

/** What the casing carries without air, as the curve has it, kPa. Published with it. */
export const CASING_KPA = psi(7.17);
const LOAD_LB = 153.6;
const WIDTH_EXPONENT = 1.5785;
const AT_SHARE = 0.15;
const KG_PER_LB = toCanonical('mass', 'lb', 1);

/** Load that each psi carries at a drop of 15 %, kg. */
const kgPerPsi = (widthMm: number): number => (widthMm ** WIDTH_EXPONENT / LOAD_LB) * KG_PER_LB;

/**
 * How far a bicycle tire drops under its load, as a share of its height: load in lb for 15 % is (p + 7.17)·w^1.5785 /
 * 153.6, and drop goes with load. Published: curve through drop measurements, Bicycle Quarterly 2006 (from memory).
 *
 * @param widthMm measured width of the tire on its rim
 * @param loadKg load on the wheel
 * @param pressureKpa gauge pressure
 * @example dropShare(42, 54, psi(43)) // 0.15: 54 kg on 42 mm at 43 psi
 */
export const dropShare = (widthMm: number, loadKg: number, pressureKpa: number): number =>
  (AT_SHARE * loadKg) / (kgPerPsi(widthMm) * ((pressureKpa + CASING_KPA) / psi(1)));

/** The pressure at which a bicycle tire drops by a share of its height, kPa; zero or less where the casing alone does. */
export const pressureForDropKpa = (widthMm: number, loadKg: number, share: number): number =>
  psi((AT_SHARE * loadKg) / (kgPerPsi(widthMm) * share)) - CASING_KPA;
