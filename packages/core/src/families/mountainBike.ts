import type { Family } from './family';
import { bicycle, inLine } from './shared';

export const mountainBike = {
  ...bicycle,
  code: 'mountainBike',
  axles: inLine(1210),
  posture: 'mountain',
} as const satisfies Family;
