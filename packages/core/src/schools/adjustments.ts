import type { End } from '../modifiers/modifier';
import type { AxleContext } from '../plan/axleContext';
import type { WorkingStep } from '../plan/working';
import { assumption } from '../source';

/** Pressure at which the trade's corrections are told, psi. Assumption: its reference points for trail bicycles. */
export const TOLD_AT_PSI = 24;

/**
 * A pressure with what ground and rig add or take, kPa: told at 24 psi, elsewhere in proportion, so that very wide
 * tires change less.
 */
export const adjusted = ({ shiftPsi }: AxleContext, end: End, baseKpa: number): number =>
  baseKpa * (1 + shiftPsi[end] / TOLD_AT_PSI);

/** The step of that; none where nothing is added. */
export const adjustedSteps = (
  { shiftPsi }: AxleContext,
  end: End,
  baseKpa: number,
  wantedKpa: number,
): WorkingStep[] => [
  {
    code: 'adjusted',
    inputs: { baseKpa, shiftPsi: shiftPsi[end] },
    result: { name: 'wantedKpa', value: wantedKpa },
    source: assumption,
  },
];
