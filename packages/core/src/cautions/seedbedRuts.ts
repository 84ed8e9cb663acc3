import { isLike } from '../grounds/ground';
import { seedbed } from '../modifiers/seedbed';
import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** A seedbed keeps every rut. */
export const seedbedRuts = {
  code: 'seedbedRuts',
  severity: 'care',
  source: commonPractice,
  applies: ({ modifiers, ground }) => modifiers.includes(seedbed.code) && isLike(ground, 'field'),
} as const satisfies Caution;
