import { farFromAir } from '../modifiers/farFromAir';
import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** No air of one's own before pavement. */
export const noAirNear = {
  code: 'noAirNear',
  severity: 'danger',
  source: commonPractice,
  applies: ({ modifiers }) => modifiers.includes(farFromAir.code),
} as const satisfies Caution;
