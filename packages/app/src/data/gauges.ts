import type { GaugeRow } from '@dunlinmoss/contract';
import { gaugeOffset } from '@dunlinmoss/core';

import { useRows } from './rows';

/** The person's gauges, by name. */
export const useGauges = (): readonly GaugeRow[] => useRows('gauges').rows;

/** How far each gauge reads above the truth, kPa; gauges that were never compared are taken as true. */
export const gaugeOffsets = (gauges: readonly GaugeRow[]): ReadonlyMap<string, number> =>
  new Map(gauges.map(({ id, comparisons }) => [id, gaugeOffset(comparisons)?.offsetKpa ?? 0]));
