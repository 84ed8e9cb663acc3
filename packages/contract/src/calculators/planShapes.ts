import {
  BEAD_HOLDS,
  CASINGS,
  FAMILY_CODES,
  GROUND_CODES,
  MODIFIER_CODES,
  SCHOOL_CODES,
  type AxlePlan,
  type GroundPlan,
  type PlanAxle,
  type PlanInput,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, pumpedKpa, someLoadKg, speedKmh, widthMm } from '../quantities';
import { axlePosition, axlesInOrder } from '../resources/loadCase';
import { loadLine, loadRow } from '../resources/rig';
import { curveOf } from '../rig/rigInput';
import { tireInput } from '../marking';
import { tireOf } from '../rig/build';
import { contactPatchShape, ownTireShape } from './shapes';

/** One axle as the planning calculators take it. */
export const planAxleInput = z.strictObject({
  position: axlePosition,
  wheels: z.union([z.literal(1), z.literal(2), z.literal(4)]).default(2),
  ...tireInput,
  leftLoadKg: someLoadKg,
  rightLoadKg: someLoadKg,
  /** Placard, manual, or what a bicycle is ridden with now. */
  roadKpa: pumpedKpa.nullable().default(null),
  beadHold: z.enum(BEAD_HOLDS).default('none'),
  tube: z.boolean().default(false),
  insert: z.boolean().default(false),
  casing: z.enum(CASINGS).nullable().default(null),
  rimInnerMm: widthMm.nullable().default(null),
  /** Measured on the rim. */
  widthMm: widthMm.nullable().default(null),
  /** Of the tread, measured flat. */
  treadWidthMm: widthMm.nullable().optional(),
  minKpa: pressureKpa.nullable().default(null),
  maxKpa: pressureKpa.nullable().default(null),
  lines: z.array(loadLine).max(6).default([]),
  rows: z.array(loadRow).max(80).default([]),
  rowsOf: z.enum(['thisTire', 'standardTire']).default('thisTire'),
  own: ownTireShape.optional(),
  /** On the heavier tire when it is driven with the road pressure, where that is not today's load. Farm machines. */
  roadLoadKg: someLoadKg.optional(),
  /** A bicycle rim without hooks; null where nobody said, and then it gets no more than such a rim holds. */
  hookless: z.boolean().nullable().default(null),
});

/** What every planning calculator asks for. */
export const planInput = z.strictObject({
  family: z.enum(FAMILY_CODES),
  ground: z.enum(GROUND_CODES),
  /** Null goes by the first that can answer. */
  school: z.enum(SCHOOL_CODES).nullable().default(null),
  modifiers: z.array(z.enum(MODIFIER_CODES)).max(MODIFIER_CODES.length).default([]),
  /** How fast it has to go here; null goes by the ground's guide. */
  speedKmh: speedKmh.nullable().default(null),
  roadSpeedKmh: speedKmh.nullable().default(null),
  riderKg: someLoadKg.nullable().default(null),
  ownFloorKpa: pressureKpa.nullable().default(null),
  stuckAccepted: z.boolean().default(false),
  /** Loads are guesses: only what needs none counts. */
  unweighed: z.boolean().default(false),
  axles: axlesInOrder(planAxleInput),
});

/** The core's axle of a calculator's. */
export function planAxleOf({ tireMarking, lines, rows, rowsOf, ...axle }: z.infer<typeof planAxleInput>): PlanAxle {
  const curve = curveOf({ tireMarking, lines, rows, rowsOf, loadRange: axle.loadRange, maxKpa: axle.maxKpa });
  return { ...axle, tire: tireOf(tireMarking), curve: curve.ok ? curve.value : null };
}

/** The core's input of a calculator's. */
export const planInputOf = ({ axles, ...rest }: z.infer<typeof planInput>): PlanInput => ({
  ...rest,
  axles: axles.map(planAxleOf),
});

export const problemShape = z.strictObject({ ok: z.literal(false), problem: z.looseObject({ code: z.string() }) });

const source = z.looseObject({
  mark: z.enum(['published', 'commonPractice', 'exact', 'assumption', 'marked', 'measured', 'chosen']),
});
const limit = z.strictObject({ code: z.string(), pressureKpa: z.number(), source });
const bindingLimit = limit.extend({ all: z.array(limit) });
const clampedBy = z.string().nullable();
const school = z.enum(SCHOOL_CODES);

const axlePlanShape = z.strictObject({
  position: axlePosition,
  wheelLoadKg: z.number(),
  roadKpa: z.number().nullable(),
  startKpa: z.number(),
  ruleKpa: z.number(),
  provedKpa: z.number().nullable(),
  window: z.strictObject({ lowKpa: z.number(), highKpa: z.number() }),
  floor: bindingLimit,
  ceiling: bindingLimit.nullable(),
  targetKpa: z.number().nullable(),
  clampedBy,
  schools: z.array(
    z.discriminatedUnion('ok', [
      z.strictObject({
        code: school,
        ok: z.literal(true),
        targetKpa: z.number(),
        startKpa: z.number(),
        clampedBy,
      }),
      z.strictObject({ code: school, ok: z.literal(false), needs: z.string() }),
    ]),
  ),
  modifiers: z.array(z.enum(MODIFIER_CODES)),
  atRoad: contactPatchShape.nullable(),
  atStart: contactPatchShape,
  carriesKg: z.number().nullable(),
  clearanceLostMm: z.number().nullable(),
  /** The fastest that the start allows here, km/h; null where nothing holds it back. */
  allowsKmh: z.number().nullable(),
  /** What belongs beside the number, each with its figures. */
  remarks: z.array(z.looseObject({ code: z.string() })),
  own: ownTireShape.nullable(),
  working: z.array(
    z.strictObject({
      code: z.string(),
      inputs: z.record(z.string(), z.number()),
      result: z.strictObject({ name: z.string(), value: z.number() }),
      source,
    }),
  ),
});

export const groundPlanShape = z.strictObject({
  family: z.enum(FAMILY_CODES),
  ground: z.enum(GROUND_CODES),
  school: school.nullable(),
  silentSchool: z.strictObject({ code: school, needs: z.string() }).nullable(),
  speedGuideKmh: z.strictObject({ low: z.number(), high: z.number() }).nullable(),
  /** The ground's own guide, whatever speed is needed. */
  groundGuideKmh: z.number().nullable(),
  /** The fastest that the pressures allow there. */
  upToKmh: z.number().nullable(),
  speedKmh: z.number().nullable(),
  needsStuckStep: z.boolean(),
  axles: z.array(axlePlanShape),
  cautions: z.array(z.string()),
});

const limitOf = ({ all, ...binding }: { readonly all: readonly object[] }): object => ({ ...binding, all: [...all] });

const axlePlanOf = ({ floor, ceiling, schools, modifiers, working, remarks, ...axle }: AxlePlan): object => ({
  ...axle,
  floor: limitOf(floor),
  ceiling: ceiling && limitOf(ceiling),
  schools: [...schools],
  modifiers: [...modifiers],
  working: [...working],
  remarks: [...remarks],
});

/** A plan as it goes over the border. */
export const planOut = ({ axles, cautions, ...plan }: GroundPlan): z.infer<typeof groundPlanShape> =>
  ({ ...plan, cautions: [...cautions], axles: axles.map(axlePlanOf) }) as z.infer<typeof groundPlanShape>;
