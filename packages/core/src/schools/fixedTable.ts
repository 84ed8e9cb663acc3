import { commonPractice } from '../source';
import type { School } from './school';

/** The fixed table: the same numbers on every rig. */
export const fixedTable = {
  code: 'fixedTable',
  source: commonPractice,
  wantedKpa: ({ referenceKpa }) => referenceKpa,
} as const satisfies School;
