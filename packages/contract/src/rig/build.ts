import { carcassFactor, readMarking, type LOAD_RANGE_CODES, type Tire, type TireBuild } from '@dunlinmoss/core';

/** A farm has few sizes, and each stands on many wheels and is asked for by every number: read once. */
const read = new Map<string, Tire>();
const MOST_READ = 500;

/** The tire of a marking that a schema has already found readable. */
export function tireOf(marking: string): Tire {
  const known = read.get(marking);
  if (known) return known;
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(`An unreadable marking got past its schema: ${marking}`);
  if (read.size >= MOST_READ) read.clear();
  read.set(marking, reading.value);
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
