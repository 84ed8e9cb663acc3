import { DEFAULT_SCHOOL, GROUND_CODES, planGround, SCHOOL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { loadKg, pressureKpa } from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import { contactPatchShape, measuredContactShape, tireInput, tireOf } from './shapes';

const speedGuide = z.strictObject({ low: z.number(), high: z.number() }).nullable();
const source = z.looseObject({
  mark: z.enum(['published', 'commonPractice', 'exact', 'assumption', 'marked', 'measured']),
});
const floor = z.strictObject({ code: z.string(), pressureKpa: z.number(), source });

const heldBy = z.enum(['floor', 'placard']).nullable();

const axlePlan = z.strictObject({
  position: axlePosition,
  wheelLoadKg: z.number(),
  roadKpa: z.number(),
  startKpa: z.number(),
  window: z.strictObject({ lowKpa: z.number(), highKpa: z.number() }),
  floor: floor.extend({ all: z.array(floor) }),
  wantedKpa: z.number().nullable(),
  heldBy,
  schools: z.array(z.strictObject({ code: z.enum(SCHOOL_CODES), wantedKpa: z.number(), startKpa: z.number(), heldBy })),
  atRoad: contactPatchShape,
  atStart: contactPatchShape,
  clearanceLostMm: z.number(),
  measuredContact: measuredContactShape.nullable(),
  working: z.array(
    z.strictObject({
      code: z.string(),
      inputs: z.record(z.string(), z.number()),
      result: z.strictObject({ name: z.string(), value: z.number() }),
      source,
    }),
  ),
});

export const groundPlanCalculator = defineCalculator({
  name: 'ground-plan',
  summary: 'Cold pressures for each axle on one ground, with window, floor, contact, cautions and the working',
  input: z.strictObject({
    ground: z.enum(GROUND_CODES),
    school: z.enum(SCHOOL_CODES).default(DEFAULT_SCHOOL),
    stuckAccepted: z.boolean(),
    axles: z
      .array(
        z.strictObject({
          position: axlePosition,
          ...tireInput,
          leftLoadKg: loadKg.positive(),
          rightLoadKg: loadKg.positive(),
          placardKpa: pressureKpa.positive(),
          beadLocks: z.boolean(),
          heldFloorKpa: pressureKpa.nullable().default(null),
          measuredContact: measuredContactShape.optional(),
        }),
      )
      .min(1)
      .max(6),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      value: z.strictObject({
        ground: z.enum(GROUND_CODES),
        speedGuideKmh: speedGuide,
        needsStuckStep: z.boolean(),
        axles: z.array(axlePlan),
        cautions: z.array(z.string()),
      }),
    }),
    z.strictObject({
      ok: z.literal(false),
      problem: z.discriminatedUnion('code', [
        z.strictObject({
          code: z.literal('placardCannotCarry'),
          position: axlePosition,
          wheelLoadKg: z.number(),
          placardKpa: z.number(),
          neededKpa: z.number(),
        }),
        z.strictObject({
          code: z.literal('floorAboveRoad'),
          position: axlePosition,
          floorKpa: z.number(),
          placardKpa: z.number(),
        }),
      ]),
    }),
  ]),
  run: ({ axles, ...rest }) => {
    const result = planGround({
      ...rest,
      axles: axles.map(({ tireMarking, ...axle }) => ({ ...axle, tire: tireOf(tireMarking) })),
    });
    if (!result.ok) return { ok: false as const, problem: result.problem };
    const { axles: plans, cautions, ...plan } = result.value;
    return {
      ok: true as const,
      value: {
        ...plan,
        cautions: [...cautions],
        axles: plans.map(({ floor: { all, ...binding }, working, schools, ...axle }) => ({
          ...axle,
          schools: [...schools],
          floor: { ...binding, all: [...all] },
          working: [...working],
        })),
      },
    };
  },
});
