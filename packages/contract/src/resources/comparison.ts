import { CASINGS, GROUND_CODES, LOAD_RANGE_CODES, SOIL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import { id, name, pressureKpa, revision, timestamp, widthMm } from '../quantities';
import { axlePosition } from './loadCase';
import { stamps } from './row';

/** One of two setups: an axle of a rig as it stands, or with something of it changed. Null leaves it as it is. */
export const setup = z.strictObject({
  rigId: id,
  loadCaseId: id.nullable(),
  position: axlePosition,
  tireMarking: tireMarking.nullable(),
  loadRange: z.enum(LOAD_RANGE_CODES).nullable(),
  measuredWidthMm: widthMm.nullable(),
  rimInnerMm: widthMm.nullable(),
  insert: z.boolean().nullable(),
  casing: z.enum(CASINGS).nullable(),
  /** Cold; null goes by the plan. */
  pressureKpa: pressureKpa.nullable(),
});

/** Two setups on one ground, kept to be looked at again. */
export const comparison = z.strictObject({
  id,
  revision,
  name,
  keptAt: timestamp,
  groundCode: z.enum(GROUND_CODES),
  /** For a prediction of how far each sinks and climbs; null asks for none. */
  soil: z.enum(SOIL_CODES).nullable(),
  /** How deep the soft layer lies over firm ground; null where it goes on down. */
  depthMm: z.number().min(10).max(3000).nullable(),
  first: setup,
  second: setup,
});

export const comparisonRow = comparison.safeExtend(stamps);

export type Setup = z.infer<typeof setup>;
export type ComparisonBody = z.infer<typeof comparison>;
export type ComparisonRow = z.infer<typeof comparisonRow>;
