import { carcassFactor, readMarking, type LOAD_RANGE_CODES, type Tire, type TireBuild } from '@dunlinmoss/core';

/** The tire of a marking that a schema has already found readable. */
export function tireOf(marking: string): Tire {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(`An unreadable marking got past its schema: ${marking}`);
  return reading.value;
}

/** The tire and carcass that stand in a rig's axle or a test. */
export const buildOf = (tire: {
  readonly tireMarking: string;
  readonly loadRange: (typeof LOAD_RANGE_CODES)[number];
}): TireBuild => ({
  tire: tireOf(tire.tireMarking),
  carcass: carcassFactor(tire.loadRange),
});
