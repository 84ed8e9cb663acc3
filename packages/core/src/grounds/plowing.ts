import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Plowing snow on hard ground: the plow's weight puts pressure back. Assumption: between snow and gravel. */
export const plowing = {
  code: 'plowing',
  kinds: ['quad'],
  traits: ['snow', 'pushing'],
  onReferenceRig: { start: 26, low: 22, high: 28, source: assumption },
  speedGuideKmh: { low: 10, high: 10 },
} as const satisfies Ground;
