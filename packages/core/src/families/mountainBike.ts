import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

export const mountainBike = {
  ...bicycle,
  code: 'mountainBike',
  axles: inLine(1210),
  likely: bicycleLikely(16, 40),
  posture: 'mountain',
} as const satisfies Family;
