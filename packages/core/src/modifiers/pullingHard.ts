import { FARM_SPEED_SOURCE } from '../capacity/farmSpeed';
import type { Modifier } from './modifier';

/** Pulling hard for long, or up a slope: no bonus at or below 10 km/h. Published with the speed table. */
export const pullingHard = {
  code: 'pullingHard',
  kinds: ['farm'],
  highTorque: true,
  source: FARM_SPEED_SOURCE,
} as const satisfies Modifier;
