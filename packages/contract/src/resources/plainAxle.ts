import type { RigAxle } from './rig';

/** An axle with nothing but its position and tire: what it has before more is entered. */
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
  hookless: null,
  measuredWidthMm: null,
  fittedAt: null,
  valve: null,
  treadWidthMm: null,
  minKpa: null,
  maxKpa: null,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
  roadKpa: null,
  confirmedRoadKpa: null,
  present: null,
} satisfies Omit<RigAxle, 'position' | 'behindMm' | 'tireMarking'>;
