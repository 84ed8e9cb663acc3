import type { RigAxle } from './rig';

/** Two wheels of which nothing is told but their place and tire: what an axle has before anyone says more. */
export const PLAIN_AXLE = {
  wheels: 2,
  driven: true,
  trackMm: null,
  ratingKg: null,
  loadRange: 'standard',
  tube: false,
  beadHold: 'none',
  insert: false,
  casing: null,
  rimInnerMm: null,
  measuredWidthMm: null,
  fittedAt: null,
  treadWidthMm: null,
  minKpa: null,
  maxKpa: null,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
  roadKpa: null,
  present: null,
} satisfies Omit<RigAxle, 'position' | 'behindMm' | 'tireMarking'>;
