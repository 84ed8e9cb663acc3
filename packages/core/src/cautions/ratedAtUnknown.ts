import { marked } from '../sources/source';
import type { Caution } from './caution';

/** A load index is known, and not the pressure at which the tire carries it. */
export const ratedAtUnknown = {
  code: 'ratedAtUnknown',
  severity: 'care',
  source: marked,
  applies: ({ family, axles }) =>
    family.kind !== 'bicycle' && axles.some(({ axle }) => axle.curve === null && axle.tire.service !== undefined),
} as const satisfies Caution;
