import { assumption, published, type Source } from '../sources/source';

/** A field soil as a farmer names it. */
export interface Texture {
  readonly code: string;
  /** What it bore before without giving way, at field moisture, kPa. */
  readonly strengthKpa: number;
  /** How it hardens as it dries: strength grows by e^(c·(pF − 1.8)). */
  readonly dryingExponent: number;
  /** Water held at a suction: residual and full share of its volume, 1/cm, and the slope. */
  readonly water: { readonly residual: number; readonly full: number; readonly alphaPerCm: number; readonly n: number };
}

/** From memory; the ranges of a texture overlap, so that a value is good to a factor of 1.5. */
export const STRENGTH_SOURCE: Source = published('Lebert and Horn 1991');
export const DRYING_SOURCE: Source = assumption;
export const WATER_SOURCE: Source = published('van Genuchten 1980; Carsel and Parrish 1988');

/** From the lightest to the heaviest. */
export const TEXTURES = [
  {
    code: 'loamySand',
    strengthKpa: 90,
    dryingExponent: 0.2,
    water: { residual: 0.057, full: 0.41, alphaPerCm: 0.124, n: 2.28 },
  },
  {
    code: 'sandyLoam',
    strengthKpa: 80,
    dryingExponent: 0.35,
    water: { residual: 0.065, full: 0.41, alphaPerCm: 0.075, n: 1.89 },
  },
  {
    code: 'loam',
    strengthKpa: 70,
    dryingExponent: 0.5,
    water: { residual: 0.078, full: 0.43, alphaPerCm: 0.036, n: 1.56 },
  },
  {
    code: 'siltLoam',
    strengthKpa: 65,
    dryingExponent: 0.5,
    water: { residual: 0.067, full: 0.45, alphaPerCm: 0.02, n: 1.41 },
  },
  {
    code: 'clayLoam',
    strengthKpa: 80,
    dryingExponent: 0.6,
    water: { residual: 0.095, full: 0.41, alphaPerCm: 0.019, n: 1.31 },
  },
  {
    code: 'clay',
    strengthKpa: 90,
    dryingExponent: 0.7,
    water: { residual: 0.068, full: 0.38, alphaPerCm: 0.008, n: 1.09 },
  },
] as const satisfies readonly Texture[];

export type TextureCode = (typeof TEXTURES)[number]['code'];
export const TEXTURE_CODES = TEXTURES.map(({ code }) => code) as [TextureCode, ...TextureCode[]];
export const textureOf = (code: TextureCode): Texture => TEXTURES.find((texture) => texture.code === code)!;
