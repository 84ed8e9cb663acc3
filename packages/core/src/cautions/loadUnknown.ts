import { marked } from '../sources/source';
import type { Caution } from './caution';

/** Nothing tells what the tire carries. */
export const loadUnknown = {
  code: 'loadUnknown',
  severity: 'care',
  source: marked,
  applies: ({ family, axles }) =>
    family.kind !== 'bicycle' && axles.some(({ axle }) => axle.curve === null && axle.tire.service === undefined),
} as const satisfies Caution;
