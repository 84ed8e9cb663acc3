import type { Texture } from './textures';

/** Suction at which a soil has drained what runs off by itself, pF (log10 of cm of water): field moisture. */
export const FIELD_PF = 1.8;
/** Just after a soaking rain, and where a plant takes no more. Wilting point: common practice. */
const SOAKED_PF = 1.0;
const WILTED_PF = 4.2;
/** A soaked soil has drained to field moisture after so many days. Assumption. */
const DRAINS_IN_DAYS = 2;
/** What sun, wind and plants take a day, and over which depth it fades. Assumptions. */
const DRIES_M_A_DAY = 0.003;
const FADES_OVER_M = 0.2;

/**
 * Share of its volume that is water at a suction: θ(h) = θr + (θs − θr)·(1 + (α·h)ⁿ)^−(1 − 1/n), h in cm.
 * Published: van Genuchten 1980.
 */
export function waterAt({ water: { residual, full, alphaPerCm, n } }: Texture, pF: number): number {
  const suctionCm = 10 ** pF;
  return residual + (full - residual) * (1 + (alphaPerCm * suctionCm) ** n) ** -(1 - 1 / n);
}

/** The same turned round, pF; at the driest where it holds no more than that. */
export function suctionOf(texture: Texture, water: number): number {
  const { residual, full, alphaPerCm, n } = texture.water;
  if (water <= waterAt(texture, WILTED_PF)) return WILTED_PF;
  const share = Math.min(1, (water - residual) / (full - residual));
  const suctionCm = (share ** (-1 / (1 - 1 / n)) - 1) ** (1 / n) / alphaPerCm;
  return suctionCm <= 1 ? 0 : Math.min(WILTED_PF, Math.log10(suctionCm));
}

/**
 * How hard a soil holds its water at a depth, so many days after it was soaked, pF: it drains for two days, and dries from
 * the top from then on. No frost, no water table, no crop of its own kind.
 *
 * @param days since rain that soaked it, 0 or more
 * @param depthM 0 or more
 */
export function suctionAfter(texture: Texture, days: number, depthM: number): number {
  if (days < DRAINS_IN_DAYS) return SOAKED_PF + ((FIELD_PF - SOAKED_PF) * days) / DRAINS_IN_DAYS;
  const lost = ((days - DRAINS_IN_DAYS) * DRIES_M_A_DAY * Math.exp(-depthM / FADES_OVER_M)) / FADES_OVER_M;
  return suctionOf(texture, waterAt(texture, FIELD_PF) - lost);
}

/** How wet a soil acts, 0 dry to 1 soaked: half at field moisture. Assumption. */
export const wetnessAt = (pF: number): number =>
  Math.min(1, Math.max(0, 0.5 + (0.5 * (FIELD_PF - pF)) / (FIELD_PF - SOAKED_PF)));
