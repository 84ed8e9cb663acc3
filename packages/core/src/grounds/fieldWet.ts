import type { Ground } from './ground';

/** Field, wet. The speed is our assumption. */
export const fieldWet = {
  code: 'fieldWet',
  kinds: ['farm'],
  traits: ['field', 'moist'],
  speedGuideKmh: { low: 8, high: 8 },
} as const satisfies Ground;
