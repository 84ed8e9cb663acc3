import { snow } from '../grounds/snow';
import type { AxleContext } from '../plan/axleContext';
import type { End } from '../modifiers/modifier';
import { commonPractice } from '../source';
import { psi } from '../units/units';
import { referenceKpa } from './referenceRig';
import type { School } from './school';

/**
 * What quads run on snow by the pressure their sidewall is rated for, psi. Common practice, no source: stiff tires
 * rated 8 near 5, those rated 22 near 15, those rated 44 went to 25 and wanted less.
 */
const ON_SNOW: readonly (readonly [ratedPsi: number, snowPsi: number])[] = [
  [0, 0],
  [8, 5],
  [22, 15],
  [44, 25],
];

/** Between the rated pressures of the trade in a straight line, beyond the last as from the one before, kPa. */
export function onSnowKpa(ratedKpa: number): number {
  const above = ON_SNOW.findIndex(([rated]) => psi(rated) >= ratedKpa);
  const upper = above <= 0 ? ON_SNOW.length - 1 : above;
  const [[softRated, soft], [firmRated, firm]] = [ON_SNOW[upper - 1]!, ON_SNOW[upper]!];
  return psi(soft) + ((ratedKpa - psi(softRated)) * (firm - soft)) / (firmRated - softRated);
}

const wants = (context: AxleContext, end: End) => {
  const { maxKpa } = context.axle;
  return maxKpa === null
    ? ('sidewallMaximum' as const)
    : (onSnowKpa(maxKpa) * referenceKpa(context, end)) / psi(snow.onReferenceRig.start);
};

/**
 * The sidewall rules: a quad's tire is run at its own share of what its sidewall is rated for. Known for snow; other
 * ground in the proportion that it has to snow on the reference rig, which is our assumption.
 */
export const sidewallRules = {
  code: 'sidewallRules',
  kinds: ['quad'],
  source: commonPractice,
  wants,
  steps: (context, end, wantedKpa) => [
    {
      code: 'sidewallOnSnow',
      inputs: { sidewallMaxKpa: context.axle.maxKpa! },
      result: { name: 'snowKpa', value: onSnowKpa(context.axle.maxKpa!) },
      source: commonPractice,
    },
    {
      code: 'fromSnow',
      inputs: {
        snowKpa: onSnowKpa(context.axle.maxKpa!),
        referencePressureKpa: referenceKpa(context, end),
        referenceSnowKpa: psi(snow.onReferenceRig.start),
      },
      result: { name: 'wantedKpa', value: wantedKpa },
      source: commonPractice,
    },
  ],
} as const satisfies School;
