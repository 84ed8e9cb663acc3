import type { Ground } from './ground';

/** Field, moist: what is pressed now stays pressed. The speed is our assumption. */
export const fieldMoist = {
  code: 'fieldMoist',
  kinds: ['farm'],
  traits: ['field', 'moist'],
  speedGuideKmh: { low: 10, high: 10 },
} as const satisfies Ground;
