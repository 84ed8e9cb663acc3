import { sidewallMostKpa } from '../axle/planAxle';
import {
  gravelKpa,
  loadShareOf,
  onSnowKpa,
  ownSnowKpa,
  quadFigureKpa,
  SNOW_FIGURE_KPA,
  SNOW_OF_ROAD,
} from '../reference/quadFigure';
import { referenceKpa } from '../reference/referenceRig';
import { assumption, commonPractice } from '../sources/source';
import type { School } from './school';

/**
 * The sidewall rules: a quad's tire is run at its own share of what its sidewall is rated for. Known for snow; other
 * ground follows from it, gently by load, which is our assumption.
 */
export const sidewallRules = {
  code: 'sidewallRules',
  kinds: ['quad'],
  source: commonPractice,
  withoutLoad: true,
  targetKpa: (context, end) => quadFigureKpa(context, referenceKpa(context, end)) ?? 'sidewallMaximum',
  trace: (context, end, targetKpa) => {
    const sidewallMaxKpa = sidewallMostKpa(context.axle)!;
    const { roadKpa } = context.axle;
    const snowKpa = ownSnowKpa(context)!;
    return [
      {
        code: 'sidewallOnSnow',
        inputs: { sidewallMaxKpa },
        result: { name: 'baseKpa', value: onSnowKpa(sidewallMaxKpa) },
        source: commonPractice,
      },
      {
        code: 'snowByLoad',
        inputs: {
          baseKpa: onSnowKpa(sidewallMaxKpa),
          loadShare: loadShareOf(context),
          ...(roadKpa !== null && { highestKpa: SNOW_OF_ROAD * roadKpa }),
        },
        result: { name: 'snowKpa', value: snowKpa },
        source: assumption,
      },
      {
        code: 'fromSnow',
        inputs: {
          snowKpa,
          gravelKpa: gravelKpa(context, snowKpa),
          referencePressureKpa: referenceKpa(context, end),
          referenceSnowKpa: SNOW_FIGURE_KPA,
        },
        result: { name: 'targetKpa', value: targetKpa },
        source: assumption,
      },
    ];
  },
} as const satisfies School;
