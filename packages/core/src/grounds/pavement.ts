import type { Ground } from './ground';

/** Pavement: the placard rules; a farm rig goes by its load and the road's speed. */
export const pavement = {
  code: 'pavement',
  kinds: ['car', 'quad', 'motorcycle', 'farm'],
  traits: [],
  paved: true,
  speedGuideKmh: null,
} as const satisfies Ground;
