import { assumption, type Source } from '../sources/source';

/**
 * Load ranges. `standard` is a tire that carries no letter.
 * `plyRating` is published: Tire and Rim Association yearbook (from memory).
 * `carcassFactor` is the share of stiffness that comes from the carcass instead of the air, against a standard
 * carcass: an assumption of ours (B taken as standard, F and up carried on in the line of C to E).
 */
export const LOAD_RANGES = {
  standard: { plyRating: null, carcassFactor: 1 },
  B: { plyRating: 4, carcassFactor: 1 },
  C: { plyRating: 6, carcassFactor: 1.3 },
  D: { plyRating: 8, carcassFactor: 1.5 },
  E: { plyRating: 10, carcassFactor: 1.8 },
  F: { plyRating: 12, carcassFactor: 2.1 },
  G: { plyRating: 14, carcassFactor: 2.4 },
  H: { plyRating: 16, carcassFactor: 2.7 },
  J: { plyRating: 18, carcassFactor: 3 },
  L: { plyRating: 20, carcassFactor: 3.3 },
} as const;

export type LoadRange = keyof typeof LOAD_RANGES;
export const LOAD_RANGE_CODES = Object.keys(LOAD_RANGES) as [LoadRange, ...LoadRange[]];
export const CARCASS_FACTOR_SOURCE: Source = assumption;

/** @example carcassFactor('E') // 1.8 */
export const carcassFactor = (loadRange: LoadRange): number => LOAD_RANGES[loadRange].carcassFactor;
