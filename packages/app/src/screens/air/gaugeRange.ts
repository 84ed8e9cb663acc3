import type { GaugeRow } from '@dunlinmoss/contract';

import type { Units } from '../../settings/preferences';
import { pressure } from '../../words/format';

/** Nothing on wheels has more, kPa. */
const HIGHEST_KPA = 2_000;

/** What is wrong with a reading, by the gauge it was read on; undefined where nothing is. */
export function gaugeRangeProblem(
  shownKpa: number | undefined,
  gauge: Pick<GaugeRow, 'name' | 'fromKpa' | 'fullScaleKpa'> | undefined,
  units: Units,
): string | undefined {
  if (shownKpa === undefined) return 'Expected a pressure.';
  if (shownKpa < 0 || shownKpa > HIGHEST_KPA) return `Expected 0 to ${pressure(HIGHEST_KPA, units)}.`;
  if (!gauge) return undefined;
  return shownKpa < gauge.fromKpa - 1e-6 || shownKpa > gauge.fullScaleKpa + 1e-6
    ? `${gauge.name} reads from ${pressure(gauge.fromKpa, units)} to ${pressure(gauge.fullScaleKpa, units)}: not this.`
    : undefined;
}
