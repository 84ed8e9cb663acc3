import { isBicycleTire, widthOnRimMm } from '../contact/deflection';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import type { WorkingStep } from '../working/working';
import { assumption } from '../sources/source';
import { psi } from '../units/units';
import { towardsFat, towardsTrail } from '../reference/bicyclePoints';

/** Pressure that the trade's corrections refer to, psi. Assumption: its reference points for trail bicycles. */
export const TOLD_AT_PSI = 24;

/** A pressure times a share, and so much added. */
interface Adjustment {
  readonly share: number;
  readonly addedKpa: number;
}

/**
 * What ground and rig make of a pressure: psi at 24 psi, elsewhere in proportion, so that very wide tires change
 * less. On narrow tires the psi are added as they stand, and pavement is a share; a fat tire takes its ground as a share.
 */
function adjustmentOf(
  { build, ground, shiftPsi, groundShiftPsi, narrowShiftPsi }: AxleContext,
  end: Figure,
): Adjustment {
  const inProportion = 1 + shiftPsi[end] / TOLD_AT_PSI;
  if (!isBicycleTire(build)) return { share: inProportion, addedKpa: 0 };
  const widthMm = widthOnRimMm(build);
  const trail = towardsTrail(widthMm);
  if (trail < 1) {
    const narrow = ground.bicycle?.narrowShare?.[end] ?? 1;
    return {
      share: inProportion ** trail * narrow ** (1 - trail),
      addedKpa: (1 - trail) * psi(narrowShiftPsi[end]),
    };
  }
  const fat = towardsFat(widthMm);
  const fatShare = ground.bicycle?.fatShare?.[end];
  if (fat === 0 || fatShare === undefined) return { share: inProportion, addedKpa: 0 };
  const rest = 1 + (shiftPsi[end] - groundShiftPsi[end]) / TOLD_AT_PSI;
  return { share: inProportion ** (1 - fat) * (fatShare * rest) ** fat, addedKpa: 0 };
}

/** A pressure with what ground and rig add or take, kPa. */
export function adjusted(context: AxleContext, end: Figure, baseKpa: number): number {
  const { share, addedKpa } = adjustmentOf(context, end);
  return baseKpa * share + addedKpa;
}

/** The step of that. */
export const adjustedSteps = (context: AxleContext, end: Figure, baseKpa: number, targetKpa: number): WorkingStep[] => {
  const { share, addedKpa } = adjustmentOf(context, end);
  return [
    {
      code: 'adjusted',
      inputs: { baseKpa, shiftPsi: context.shiftPsi[end], groundShare: share, addedKpa },
      result: { name: 'targetKpa', value: targetKpa },
      source: assumption,
    },
  ];
};
