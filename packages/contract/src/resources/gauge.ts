import { z } from 'zod';

import { id, name, pressureKpa, pumpedKpa, revision } from '../quantities';
import { stamps } from './row';

/** A person's gauge, with what it was held against. */
export const gauge = z
  .strictObject({
    id,
    revision,
    name,
    /** The scale, from and to. */
    fromKpa: pressureKpa,
    fullScaleKpa: pumpedKpa,
    /** Accuracy class, percent of full scale; null where nothing says. */
    gradePercent: z.number().min(0.05).max(20).nullable(),
    /** Readings beside a gauge that is trusted, on one tire at once. */
    comparisons: z.array(z.strictObject({ gaugeKpa: pressureKpa, trustedKpa: pressureKpa })).max(20),
  })
  .refine(({ fromKpa, fullScaleKpa }) => fromKpa < fullScaleKpa, {
    path: ['fullScaleKpa'],
    message: 'expected the end of the scale above its beginning',
    params: { code: 'scaleUpsideDown' },
  });

export const gaugeRow = gauge.safeExtend(stamps);

export type GaugeBody = z.infer<typeof gauge>;
export type GaugeRow = z.infer<typeof gaugeRow>;
