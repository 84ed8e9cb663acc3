import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

export const gravelBike = {
  ...bicycle,
  code: 'gravelBike',
  axles: inLine(1040),
  likely: bicycleLikely(25, 60),
  posture: 'gravel',
} as const satisfies Family;
