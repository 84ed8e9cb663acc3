import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Letting air out is no remedy for ice, and braking on snow gets longer. */
export const brakingOnSnow = {
  code: 'brakingOnSnow',
  severity: 'danger',
  source: commonPractice,
  applies: onGround('snow'),
} as const satisfies Caution;
