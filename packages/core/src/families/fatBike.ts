import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

export const fatBike = {
  ...bicycle,
  code: 'fatBike',
  axles: inLine(1150),
  likely: bicycleLikely(5, 16),
  posture: 'mountain',
} as const satisfies Family;
