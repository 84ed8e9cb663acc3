import { contextsOf, margin, MODEL_SPREADS, planGround } from '@dunlinmoss/core';
import { z } from 'zod';

import { axlePosition } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import { planInput, planInputOf, problemShape } from './planShapes';

const modelShare = (of: keyof typeof MODEL_SPREADS) => z.number().min(0).max(0.6).default(MODEL_SPREADS[of]);

const band = z.strictObject({ lowKpa: z.number(), middleKpa: z.number(), highKpa: z.number() });
/** As many as a phone does in a blink; a caller who wants more asks with other seeds. */
const MOST_DRAWS = 20_000;

export const marginCalculator = defineCalculator({
  name: 'margin',
  heavy: true,
  summary:
    'The result under uncertain inputs, by seeded draws of load, gauge, temperature, width, carcass, formula, exponent and reference pressure: the band of true pressures and how often a limit is crossed',
  input: planInput.extend({
    /** Standard deviation of each wheel load, as a share of it. */
    loadShare: z.number().min(0).max(0.5),
    /** The most a gauge may be off to either side. */
    gaugeKpa: z.number().min(0).max(200),
    /** Standard deviation of how warm the tire is. */
    tempC: z.number().min(0).max(40),
    /** Standard deviation of the width, as a share of it. */
    widthShare: z.number().min(0).max(0.2),
    /** How far the model itself may be off: standard deviations, as shares. */
    carcassShare: modelShare('carcass'),
    dropShare: modelShare('drop'),
    formulaShare: modelShare('formula'),
    exponentShare: modelShare('exponent'),
    referenceShare: modelShare('reference'),
    draws: z.int().min(100).max(MOST_DRAWS).default(MOST_DRAWS),
    seed: z.int().min(0).max(4_294_967_295).default(1),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      axles: z.array(
        z.strictObject({
          position: axlePosition,
          setKpa: z.number(),
          inTire: band,
          wanted: band.nullable(),
          belowFloor: z.number(),
          aboveCeiling: z.number(),
          draws: z.int(),
        }),
      ),
    }),
    problemShape,
  ]),
  run: ({ loadShare, gaugeKpa, tempC, widthShare, draws, seed, ...asked }) => {
    const { carcassShare, dropShare, formulaShare, exponentShare, referenceShare, ...rest } = asked;
    const model = {
      carcass: carcassShare,
      drop: dropShare,
      formula: formulaShare,
      exponent: exponentShare,
      reference: referenceShare,
    };
    const input = planInputOf(rest);
    const plan = planGround(input);
    if (!plan.ok) return { ok: false as const, problem: { ...plan.problem } };
    return {
      ok: true as const,
      axles: contextsOf(input).map((context, index) => {
        const { position, startKpa } = plan.value.axles[index]!;
        const result = margin({
          context,
          school: plan.value.school,
          setKpa: startKpa,
          conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
          spreads: { loadShare, gaugeKpa, tempC, widthShare, model },
          draws,
          seed: seed + index,
        });
        return { position, setKpa: startKpa, ...result };
      }),
    };
  },
});
