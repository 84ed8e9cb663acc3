import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** Monitors warn after airing down. */
export const pressureMonitors = {
  code: 'pressureMonitors',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind === 'car' && lowered(context),
} as const satisfies Caution;
