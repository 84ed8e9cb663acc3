import { z } from 'zod';

/** Upper limit of a contact constant. */
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
