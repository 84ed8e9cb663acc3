import type { Outing, RigRow } from '@dunlinmoss/contract';
import { familyOf } from '@dunlinmoss/core';
import { deflatorsToday, gaugeStepKpa, valveMisfits } from '@dunlinmoss/domain';

import { useRows } from '../data/rows';
import type { Units } from '../settings/preferences';
import { TOOL_WORDS, adapterText, deflatorText } from '../words/tools';
import { lastTool, toolsFor } from './toolChoice';

/**
 * What stands between the tools that are taken along with a rig and what is planned for it: adapters for its valves, and
 * deflators that stop somewhere else. Nothing where nothing is planned.
 */
export function useKitNotes(rig: RigRow, planned: Outing['pressures'], units: Units): readonly string[] {
  const { rows: tools } = useRows('tools');
  const used = (way: 'out' | 'in') => {
    const code = lastTool(way, rig.id, familyOf(rig.family).kind, tools);
    return toolsFor(way, tools).find((each) => each.code === code)!.used;
  };
  if (planned.length === 0) return [];
  const [out, back] = [used('out'), used('in')];
  const adapters = [out, back].flatMap(
    ({ kind, tool }) => adapterText(tool?.name ?? TOOL_WORDS[kind].name, valveMisfits(tool, rig)) ?? [],
  );
  const wheels = planned.map(({ position, pressureKpa }) => ({
    position,
    fromKpa: rig.axles.find((axle) => axle.position === position)?.roadKpa ?? undefined,
    targetKpa: pressureKpa,
  }));
  const deflators = deflatorsToday(out.tool, wheels, gaugeStepKpa(units));
  return [...adapters, ...deflators.map((each) => deflatorText(each, units))];
}
