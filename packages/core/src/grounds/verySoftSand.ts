import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Very soft or steep sand. */
export const verySoftSand = {
  code: 'verySoftSand',
  kinds: ['car', 'quad'],
  traits: ['sand', 'loose', 'deep', 'hills'],
  onReferenceRig: { start: 12, low: 10, high: 12, source: commonPractice },
  speedGuideKmh: { low: 20, high: 20 },
} as const satisfies Ground;
