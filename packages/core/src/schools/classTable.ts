import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import { assumption, commonPractice } from '../sources/source';
import { psi } from '../units/units';
import { adjusted, adjustedSteps } from './adjustments';
import type { School } from './school';

/** The rear stands above the front one up; more two up, by its load. Assumption. */
const REAR_ABOVE_KPA = psi(3);
/** Load counts gently: makers add 12 to 17 % for a passenger who adds half to the rear (common practice, no source). */
const LOAD_COUNTS = 0.4;
/** Of the whole, on the front wheel one up. Assumption. */
const FRONT_SHARE = 0.47;
/** On dirt no more than this share of the maker's figure. Assumption. */
const OF_MAKERS = 0.9;

const isFront = ({ axle }: AxleContext): boolean => axle.position === 'front';
/** What stands on this wheel in the class, one up, kg. */
const classLoadKg = (context: AxleContext): number =>
  context.family.classPressure!.totalKg * (isFront(context) ? FRONT_SHARE : 1 - FRONT_SHARE);
const loadShare = (context: AxleContext): number => (context.wheelLoadKg / classLoadKg(context)) ** LOAD_COUNTS;
const classKpa = (context: AxleContext): number =>
  context.family.classPressure!.lowKpa + (isFront(context) ? 0 : REAR_ABOVE_KPA);
const mostKpa = ({ axle }: AxleContext): number =>
  axle.roadKpa === null ? Number.POSITIVE_INFINITY : OF_MAKERS * axle.roadKpa;

/** On a dirt road, kPa: the class by this load, and no more than most of the maker's figure. */
const dirtKpa = (context: AxleContext): number => Math.min(classKpa(context) * loadShare(context), mostKpa(context));
const baseKpa = (context: AxleContext, end: Figure): number =>
  Math.min(dirtKpa(context) * context.ground.ofClass![end], mostKpa(context));

/**
 * The class table: what riders of this class of motorcycle start with on dirt roads (common practice, no source), for
 * the load on each wheel; on softer ground a share of it, which is our assumption.
 *
 * @example a trail single on a dirt road, one rider: 20 psi in front, 23 behind
 */
export const classTable = {
  code: 'classTable',
  kinds: ['motorcycle'],
  source: commonPractice,
  withoutLoad: true,
  targetKpa: (context, end) => Math.min(adjusted(context, end, baseKpa(context, end)), mostKpa(context)),
  trace: (context, end, targetKpa) => [
    {
      code: 'classByLoad',
      inputs: {
        classKpa: classKpa(context),
        wheelLoadKg: context.wheelLoadKg,
        classLoadKg: classLoadKg(context),
        ...(context.axle.roadKpa !== null && { highestKpa: mostKpa(context) }),
      },
      result: { name: 'dirtKpa', value: dirtKpa(context) },
      source: assumption,
    },
    {
      code: 'classShare',
      inputs: {
        classKpa: dirtKpa(context),
        groundShare: context.ground.ofClass![end],
        ...(context.axle.roadKpa !== null && { highestKpa: mostKpa(context) }),
      },
      result: { name: 'baseKpa', value: baseKpa(context, end) },
      source: context.ground.ofClass!.source,
    },
    ...adjustedSteps(context, end, baseKpa(context, end), targetKpa),
  ],
} as const satisfies School;
