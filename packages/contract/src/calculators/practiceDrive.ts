import { atStart, driveOn, drivenRig, PACES, REHEARSED_KINDS, SOIL_CODES, wayOf, type Pace } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireInput } from '../marking';
import { lengthMm, pressureKpa, someLoadKg, widthMm } from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { buildOf } from '../rig/build';
import { defineCalculator } from './calculator';
import { problemShape } from './planShapes';

const PACE_CODES = Object.keys(PACES) as [Pace, ...Pace[]];

export const practiceDriveCalculator = defineCalculator({
  name: 'practice-drive',
  summary:
    'A machine driven over ground that gives way, in fixed steps: how it ends, how far it comes, how deep it sinks and digs; the same seed is the same place',
  input: z.strictObject({
    kind: z.enum(REHEARSED_KINDS),
    /** The first axle first. */
    axles: z
      .array(
        z.strictObject({
          ...tireInput,
          position: axlePosition,
          wheels: z.int().min(1).max(8),
          wheelLoadKg: someLoadKg,
          driven: z.boolean(),
          behindMm: lengthMm.max(30_000),
          pressureKpa,
        }),
      )
      .min(2)
      .max(6),
    soil: z.enum(SOIL_CODES),
    /** How deep the soft layer lies; null where it has no bottom within reach. */
    depthMm: widthMm.nullable().default(null),
    /** The way, one piece after the other; it is firm and level before and after. */
    legs: z
      .array(
        z.strictObject({
          lengthM: z.number().min(0.5).max(100),
          fromDeg: z.number().min(-30).max(30),
          toDeg: z.number().min(-30).max(30),
          soft: z.boolean(),
          /** Softer than the rest, as a natural logarithm. */
          shift: z.number().min(-2).max(2).optional(),
        }),
      )
      .min(1)
      .max(20),
    /** Softer than the book's soil, as a natural logarithm, and how that scatters from patch to patch. */
    shift: z.number().min(-2).max(2).default(0),
    scatter: z.number().min(0).max(1).default(0),
    seed: z.int().min(0).max(1_000_000).default(0),
    pace: z.enum(PACE_CODES),
    /** A foot stays down when the wheels spin. */
    keepsOn: z.boolean().default(false),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      end: z.enum(['through', 'spins', 'stands', 'dugIn', 'aground']),
      /** Of the first axle along the way. */
      atM: z.number(),
      timeS: z.number(),
      spunS: z.number(),
      sinkMm: z.number(),
      dugMm: z.number(),
    }),
    problemShape,
  ]),
  run: ({ kind, axles, soil, depthMm, legs, shift, scatter, seed, pace, keepsOn }) => {
    const rig = drivenRig(
      kind,
      axles.map(({ position, wheels, wheelLoadKg, driven, behindMm, pressureKpa: _, ...tire }) => ({
        position,
        build: buildOf(tire),
        wheels,
        wheelLoadKg,
        driven,
        behindM: behindMm / 1000,
      })),
    );
    const depthM = depthMm === null ? null : depthMm / 1000;
    const way = wayOf({ soil, depthM, legs }, { seed, shift, scatter });
    const run = driveOn(atStart(rig, 0, pace === 'runUp' ? PACES.runUp.wheelMs : 0), rig, way, {
      pressuresKpa: axles.map((axle) => axle.pressureKpa),
      pace,
      keepsOn,
      pushedShare: undefined,
    });
    if (!run) return { ok: false as const, problem: { code: 'flat' } };
    return {
      ok: true as const,
      end: run.end,
      atM: run.state.atM,
      timeS: run.state.timeS,
      spunS: run.spunS,
      sinkMm: run.sinkM * 1000,
      dugMm: run.dugM * 1000,
    };
  },
});
