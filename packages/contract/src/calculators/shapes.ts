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

/** How big a contact constant may be told to be. */
export const contactConstant = z.number().min(0.1).max(1.5);

export const contactPatchShape = z.strictObject({
  pressureKpa: z.number(),
  stiffnessKgPerMm: z.number(),
  deflectionMm: z.number(),
  deflectionShare: z.number(),
  chordMm: z.number(),
  lengthMm: z.number(),
  widthMm: z.number(),
  grossAreaMm2: z.number(),
  groundPressureKpa: z.number(),
});

/** A contact constant that one test gives by itself. */
export const tapeContactShape = z.strictObject({
  contactConstant,
  standardError: z.number().min(0).nullable(),
});

const ownFactor = z.strictObject({
  factor: z.number().min(0.1).max(10),
  low: z.number().min(0.01).max(100),
  high: z.number().min(0.01).max(100),
  readings: z.int().min(0).max(100_000),
});

/** What a tire's own tests gave, as times the handbook's values. */
export const ownTireShape = z.strictObject({
  contact: ownFactor,
  width: ownFactor,
  carcass: ownFactor,
  drop: ownFactor,
});
