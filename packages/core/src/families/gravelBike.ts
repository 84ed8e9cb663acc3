import type { Family } from './family';
import { bicycle, inLine } from './shared';

export const gravelBike = {
  ...bicycle,
  code: 'gravelBike',
  axles: inLine(1040),
  posture: 'gravel',
} as const satisfies Family;
