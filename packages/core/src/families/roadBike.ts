import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

export const roadBike = {
  ...bicycle,
  code: 'roadBike',
  axles: inLine(990),
  likely: bicycleLikely(55, 110),
  posture: 'road',
} as const satisfies Family;
