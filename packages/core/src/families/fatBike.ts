import type { Family } from './family';
import { bicycle, inLine } from './shared';

export const fatBike = {
  ...bicycle,
  code: 'fatBike',
  axles: inLine(1150),
  posture: 'mountain',
} as const satisfies Family;
