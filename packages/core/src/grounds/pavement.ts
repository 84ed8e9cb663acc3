import type { Ground } from './ground';

export const pavement = {
  code: 'pavement',
  onReferenceRig: null,
  speedGuideKmh: null,
} as const satisfies Ground;
