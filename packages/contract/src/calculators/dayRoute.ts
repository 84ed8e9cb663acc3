import {
  GROUND_CODES,
  inToolOf,
  MODIFIER_CODES,
  outToolOf,
  planRoute,
  ROUTE_PLANS,
  SURENESS,
  type RouteStretch,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { gaugeStepKpa, pressureKpa, speedKmh, volumeL } from '../quantities';
import { axlePosition, axlesInOrder } from '../resources/loadCase';
import { wheelRef } from '../resources/wheelRef';
import { airToolKind, outsideKpaAbs } from './airShapes';
import { defineCalculator } from './calculator';
import { planAxleInput, planAxleOf, planInput, planInputOf, problemShape } from './planShapes';

const minutes = z.number().min(0).max(1_440);
const setting = z.array(z.strictObject({ position: axlePosition, pressureKpa })).readonly();
const axles = axlesInOrder(planAxleInput);
const wear = z.strictObject({ softKm: z.number(), harshKm: z.number(), pressedKm: z.number() });

const routePlan = z.strictObject({
  legs: z
    .array(
      z.strictObject({
        setting,
        /** Null where nothing is changed before it. */
        stopMin: z.number().nullable(),
        waitMin: z.number(),
        driveMin: z.number(),
        kmh: z.number(),
        bogChance: z.number(),
        wear,
        /** Axles that stand below what the ground's own plan goes to. */
        belowFloor: z.array(z.strictObject({ position: axlePosition, floorKpa: z.number() })).readonly(),
        /** Pavement below road pressure, for want of air. */
        limps: z.boolean(),
        fromMin: z.number(),
        untilMin: z.number(),
      }),
    )
    .readonly(),
  stops: z.int(),
  driveMin: z.number(),
  stopsMin: z.number(),
  waitMin: z.number(),
  bogMin: z.number(),
  bogChance: z.number(),
  wear,
  totalMin: z.number(),
  late: z.strictObject({ stretch: z.int(), minutes: z.number() }).nullable(),
});

export const dayRouteCalculator = defineCalculator({
  name: 'day-route',
  summary:
    'Which pressures over a day of several grounds and loads, and where to stop: three plans, one pressure for all of it, and each ground by its own',
  input: planInput.omit({ ground: true, modifiers: true, speedKmh: true }).extend({
    stretches: z
      .array(
        z.strictObject({
          ground: z.enum(GROUND_CODES),
          modifiers: z.array(z.enum(MODIFIER_CODES)).default([]),
          speedKmh: speedKmh.nullable().default(null),
          /** The rig as it is loaded there; without it, as given for all. And at its end, where a tank empties. */
          axles: axles.optional(),
          endAxles: axles.optional(),
          lengthKm: z.number().min(0.01).max(1_000),
          climbDeg: z.number().min(0).max(45).default(0),
          sureness: z.enum(SURENESS).default('usual'),
          /** Softer than thought, as a natural logarithm. */
          softnessShift: z.number().min(-2).max(2).default(0),
          noStopping: z.boolean().default(false),
          freeAir: z.boolean().default(false),
          /** Since the day began. */
          opensMin: minutes.nullable().default(null),
          closesMin: minutes.nullable().default(null),
        }),
      )
      .min(1)
      .max(40),
    /** What is in the tires; without it, the road pressure of each axle. */
    start: setting.optional(),
    stepKpa: gaugeStepKpa.default(6.894757293),
    wheels: z
      .array(z.strictObject({ ...wheelRef, volumeL, walkS: z.number().min(0).max(3_600).default(0) }))
      .min(1)
      .max(24),
    outTool: airToolKind.default('stick'),
    inTool: airToolKind.default('onBoardCompressor'),
    outsideKpaAbs,
    pullOverMin: minutes.default(2),
    central: z.boolean().default(false),
    bogMin: minutes.default(30),
    prices: z
      .strictObject({ harsh: minutes.default(0), pressed: minutes.default(0), soft: minutes.default(0) })
      .default({ harsh: 0, pressed: 0, soft: 0 }),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      plans: z.record(z.enum(ROUTE_PLANS), routePlan),
      onePressure: routePlan.nullable(),
      tradeTable: routePlan.nullable(),
      limps: z.boolean(),
      robustness: z
        .strictObject({
          worstMin: z.number(),
          stretch: z.int(),
          setting,
          ifSofter: setting,
          ifFirmer: setting,
        })
        .nullable(),
    }),
    problemShape,
  ]),
  heavy: true,
  run: ({ stretches, start, stepKpa, wheels, outTool, inTool, outsideKpaAbs: outside, ...rest }) => {
    const { pullOverMin, central, bogMin, prices, ...rig } = rest;
    const out = outToolOf(outTool);
    if (!out) return { ok: false as const, problem: { code: 'letsNothingOut' } };
    const pump = inToolOf(inTool);
    if (!pump) return { ok: false as const, problem: { code: 'putsNothingIn' } };
    const base = planInputOf({ ...rig, ground: stretches[0]!.ground, modifiers: [], speedKmh: null });
    const [bare] = base.axles.filter(({ roadKpa }) => roadKpa === null);
    if (!start && bare) return { ok: false as const, problem: { code: 'roadMissing', position: bare.position } };
    // All that is told of axles is told of the same ones.
    const positions = base.axles.map(({ position }) => position).join();
    const told = [start, ...stretches.flatMap(({ axles: own, endAxles }) => [own, endAxles])];
    const differ =
      told.some((list) => list && list.map(({ position }) => position).join() !== positions) ||
      wheels.some(({ position }) => !base.axles.some((axle) => axle.position === position));
    if (differ) return { ok: false as const, problem: { code: 'axlesDiffer' } };
    const result = planRoute({
      stretches: stretches.map(
        ({ ground, modifiers, speedKmh: kmh, axles: own, endAxles, ...stretch }): RouteStretch => ({
          ...stretch,
          input: { ...base, ground, modifiers, speedKmh: kmh, axles: own ? own.map(planAxleOf) : base.axles },
          endAxles: endAxles ? endAxles.map(planAxleOf) : null,
        }),
      ),
      start: start ?? base.axles.map(({ position, roadKpa }) => ({ position, pressureKpa: roadKpa! })),
      stepKpa,
      tools: {
        wheels,
        out: {
          tool: out,
          rate: { conductanceLPerS: out.conductanceLPerS, relativeError: 0.3 },
          wheelsAtOnce: out.wheelsAtOnce,
        },
        in: { pump: pump.pump, setUpS: pump.setUpS, rate: 1, wheelsAtOnce: pump.wheelsAtOnce },
        outsideKpaAbs: outside,
        pullOverMin,
        central,
      },
      bogMin,
      prices,
    });
    return result.ok ? { ok: true as const, ...result.value } : { ok: false as const, problem: { ...result.problem } };
  },
});
