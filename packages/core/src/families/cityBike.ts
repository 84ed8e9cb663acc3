import type { Family } from './family';
import { bicycle, bicycleLikely, inLine } from './shared';

/** City and touring bicycles, 32 to 60 mm, mostly on tubes: they begin in the middle of what the sidewall allows. */
export const cityBike = {
  ...bicycle,
  code: 'cityBike',
  axles: inLine(1080),
  likely: bicycleLikely(30, 75),
  posture: 'gravel',
  firstSchool: 'sidewallMiddle',
} as const satisfies Family;
