import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

export const electricBike = {
  ...bicycle,
  code: 'electricBike',
  axles: inLine(1240),
  likely: bicycleLikely(16, 50),
  posture: 'mountain',
  electric: true,
} as const satisfies Family;
