import { carcassFactor, LOAD_RANGE_CODES, readMarking, type Tire, type TireBuild } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';

/** A tire by marking and load range, as calculators take it. */
export const tireInput = { tireMarking, loadRange: z.enum(LOAD_RANGE_CODES) };

/** The tire of a marking that a schema has already found readable. */
export function tireOf(marking: string): Tire {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(`An unreadable marking got past its schema: ${marking}`);
  return reading.value;
}

/** The tire and carcass that stand in a rig's axle or a test. */
export const buildOf = (tire: z.infer<z.ZodObject<typeof tireInput>>): TireBuild => ({
  tire: tireOf(tire.tireMarking),
  carcass: carcassFactor(tire.loadRange),
});
