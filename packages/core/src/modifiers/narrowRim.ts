import { assumption } from '../sources/source';
import { rimBandMm } from '../findings/rimWidth';
import type { Modifier } from './modifier';

/** A rim narrower than suits the tire: up (common practice, no source); how far is our assumption. */
export const narrowRim = {
  code: 'narrowRim',
  kinds: ['bicycle'],
  fromRig: ({ tire, rimInnerMm }) => {
    const band = rimBandMm(tire.sectionWidthMm);
    return rimInnerMm !== null && band !== null && rimInnerMm < band.lowMm;
  },
  shift: { start: 1, low: 0, high: 2 },
  source: assumption,
} as const satisfies Modifier;
