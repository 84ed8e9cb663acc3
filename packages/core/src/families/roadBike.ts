import type { Family } from './family';
import { bicycle, inLine } from './shared';

export const roadBike = {
  ...bicycle,
  code: 'roadBike',
  axles: inLine(990),
  posture: 'road',
} as const satisfies Family;
