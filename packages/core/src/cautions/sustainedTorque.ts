import { FARM_SPEED_SOURCE } from '../capacity/farmSpeed';
import { isLike } from '../grounds/ground';
import { pullingHard } from '../modifiers/pullingHard';
import type { Caution } from './caution';

/** The bonus for being slow holds only without sustained high torque. Published with the speed table. */
export const sustainedTorque = {
  code: 'sustainedTorque',
  severity: 'care',
  source: FARM_SPEED_SOURCE,
  applies: ({ family, modifiers, ground, axles }) =>
    family.kind === 'farm' &&
    !modifiers.includes(pullingHard.code) &&
    isLike(ground, 'field') &&
    axles.some(({ axle }) => axle.curve?.from !== 'rows'),
} as const satisfies Caution;
