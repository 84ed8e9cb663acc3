import type { GaugeFitness, GaugeFlaw, GaugeOffset } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { percent, pressure, pressureFine } from './format';

export const FITNESS_WORDS: Record<GaugeFitness['fitness'], string> = {
  good: 'good',
  fair: 'will do',
  unfit: 'not to be trusted',
};

export function flawText(flaw: GaugeFlaw, units: Units): string {
  switch (flaw.code) {
    case 'beyondScale':
      return `its scale goes from ${pressure(flaw.fromKpa, units)} to ${pressure(flaw.fullScaleKpa, units)}`;
    case 'nearTheEnd':
      return `that is ${percent(flaw.shareOfScale)} of its scale, and it reads best from 25 to 75 %`;
    case 'tooCoarse':
      return `it may be off by ${pressureFine(flaw.errorKpa, units)}, more than the step of ${pressure(flaw.stepKpa, units)}`;
  }
}

/** Less scatter than this nobody reads off a dial. */
const STEADY_KPA = 1;

/** What comparing found. */
export function offsetText(offset: GaugeOffset | null, units: Units): string {
  if (!offset) return 'Not compared with a trusted gauge yet.';
  const { offsetKpa, spreadKpa } = offset;
  const size = pressureFine(Math.abs(offsetKpa), units);
  const reads =
    Math.abs(offsetKpa) < 0.5 ? 'Reads true' : offsetKpa > 0 ? `Reads ${size} too much` : `Reads ${size} too little`;
  const spread =
    spreadKpa === null
      ? '; compare once more to see how steady'
      : spreadKpa < STEADY_KPA
        ? ', steadily'
        : `, ± ${pressureFine(spreadKpa, units)}`;
  return `${reads}${spread}.`;
}
