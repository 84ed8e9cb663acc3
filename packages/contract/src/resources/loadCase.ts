import {
  AXLE_POSITIONS,
  type AxlePosition,
  LOAD_METHODS,
  POSTURE_CODES,
  USUAL_RIG_CODES,
  WHEEL_CODES,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { id, loadKg, name, placeMm } from '../quantities';

export const axlePosition = z.enum(AXLE_POSITIONS);

/** The axles of a rig, whatever is given of each: front to rear, each once, then those of its trailer. */
export const axlesInOrder = <Shape extends { readonly position: typeof axlePosition }>(axle: z.ZodObject<Shape>) =>
  z
    .array(axle)
    .min(1)
    .max(AXLE_POSITIONS.length)
    .refine(
      (axles) => {
        const places = axles.map((each) => AXLE_POSITIONS.indexOf((each as { position: AxlePosition }).position));
        return places.every((place, index) => index === 0 || place > places[index - 1]!);
      },
      {
        message: 'expected each axle once, front to rear, then those of the trailer',
        params: { code: 'axleOrder' },
      },
    );

/** Which part of an axle stood on the scale. */
export const weighedPart = z.enum(['axle', ...WHEEL_CODES]);

const placed = {
  name: z.string().trim().max(60),
  body: z.enum(['vehicle', 'trailer']),
  behindMm: placeMm,
  rightMm: placeMm.nullable(),
};

/** Something put on: a thing of known weight, or a tank that is so full. */
export const loadItem = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('thing'), ...placed, massKg: loadKg }),
  z.strictObject({
    kind: z.literal('tank'),
    ...placed,
    liters: z.number().min(0).max(100_000),
    densityKgPerL: z.number().min(0.1).max(5),
    level: z.number().min(0).max(1),
  }),
]);

/** One way a rig is loaded: empty, touring, tank full. */
export const loadCase = z.strictObject({
  id,
  name,
  method: z.enum(LOAD_METHODS),
  weighed: z
    .array(z.strictObject({ position: axlePosition, part: weighedPart, loadKg }))
    .max(24)
    .refine((weighed) => new Set(weighed.map(({ position, part }) => `${position} ${part}`)).size === weighed.length, {
      message: 'expected each wheel and axle once',
      params: { code: 'weighedTwice' },
    }),
  /** The whole rig on the weighbridge: as a check on its parts, or what is split by its kind. */
  wholeKg: loadKg.nullable(),
  unladen: z.array(z.strictObject({ position: z.enum([...AXLE_POSITIONS, 'coupling']), loadKg })).max(7),
  items: z.array(loadItem).max(40),
  posture: z
    .strictObject({
      posture: z.enum(POSTURE_CODES),
      frontShare: z.number().min(0).max(1).nullable(),
      riderKg: loadKg,
      bikeKg: loadKg,
    })
    .nullable(),
  /** How full today what was weighed full and empty is, 0 to 1; null takes it full. */
  level: z.number().min(0).max(1).nullable().default(null),
  /** How the whole is split: empty or loaded, and like which usual rig; null takes the first of its family. */
  split: z
    .strictObject({ laden: z.enum(['empty', 'loaded']), like: z.enum(USUAL_RIG_CODES).nullable() })
    .nullable()
    .default(null),
});

export type LoadCaseBody = z.infer<typeof loadCase>;
export type LoadItemBody = z.infer<typeof loadItem>;
