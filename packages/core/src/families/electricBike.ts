import type { Family } from './family';
import { bicycle, inLine } from './shared';

export const electricBike = {
  ...bicycle,
  code: 'electricBike',
  axles: inLine(1240),
  posture: 'mountain',
  electric: true,
} as const satisfies Family;
