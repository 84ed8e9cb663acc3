import type { Ground } from './ground';

/** Lane: the pace between yard and field. The speed is our assumption. */
export const lane = {
  code: 'lane',
  kinds: ['farm'],
  traits: [],
  speedGuideKmh: { low: 25, high: 25 },
} as const satisfies Ground;
