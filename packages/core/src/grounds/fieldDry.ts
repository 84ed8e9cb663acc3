import type { Ground } from './ground';

/** Field, dry. The speed is our assumption. */
export const fieldDry = {
  code: 'fieldDry',
  kinds: ['farm'],
  traits: ['field'],
  speedGuideKmh: { low: 10, high: 10 },
} as const satisfies Ground;
