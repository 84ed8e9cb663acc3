import type { AirToolCode, ValveCode } from '@dunlinmoss/core';
import type { DeflatorsToday, ValveMisfit } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { pressure } from './format';

export const VALVE_WORDS: Record<ValveCode, { readonly name: string; readonly note: string }> = {
  schrader: { name: 'Schrader', note: 'as wide as a pencil, a pin inside' },
  presta: { name: 'Presta', note: 'slim, a small nut on top' },
  dunlop: { name: 'Dunlop', note: 'old bicycles, a collar' },
  largeBore: { name: 'Large bore', note: 'big farm tires' },
};

/** How preset deflators stand to today's plan, axle by axle, and what to do. */
export function deflatorText({ position, code, setKpa, targetKpa }: DeflatorsToday, units: Units): string {
  const axle = AXLE_WORDS[position];
  const [set, plan] = [pressure(setKpa, units), pressure(targetKpa, units)];
  switch (code) {
    case 'above':
      return `${axle}: your deflators stop at ${set}, today’s plan is ${plan}. Set them, or let the rest out by hand.`;
    case 'below':
      return `${axle}: your deflators stop only at ${set}, below today’s ${plan}. Set them first, or take them off in time.`;
    case 'nothing':
      return `${axle}: your deflators are set to ${set}, no less than is in the tires: they let nothing out. Set them to ${plan}.`;
  }
}

/** That a tool needs an adapter on some axles. */
export function adapterText(tool: string, misfits: readonly ValveMisfit[]): string | undefined {
  const [first] = misfits;
  if (!first) return undefined;
  const axles = misfits.map(({ position }) => AXLE_WORDS[position].toLowerCase()).join(' and ');
  const looked = first.assumed ? ', as such wheels usually have' : '';
  return `${tool} needs an adapter: ${axles} ${misfits.length === 1 ? 'has a' : 'have'} ${VALVE_WORDS[first.valve].name} ${misfits.length === 1 ? 'valve' : 'valves'}${looked}.`;
}

export const TOOL_WORDS: Record<AirToolCode, { readonly name: string; readonly note: string }> = {
  stick: { name: 'Stick or key', note: 'Held on the pin' },
  presetDeflators: { name: 'Preset deflators', note: 'Screwed on, stop by themselves' },
  coreDeflator: { name: 'Core-pulling deflator', note: 'Fast, with a gauge' },
  hoseManifold: { name: 'Hoses on a manifold', note: 'Several wheels, levels them too' },
  quickReleaseValves: { name: 'Quick-release valves', note: 'Seconds a wheel, easy to overshoot' },
  socketCompressor: { name: 'Socket compressor', note: 'From the lighter socket' },
  batteryClipCompressor: { name: 'Clip-on compressor', note: 'Clipped to the battery' },
  onBoardCompressor: { name: 'On-board compressor', note: 'One head' },
  onBoardTwinCompressor: { name: 'On-board twin compressor', note: 'Two heads' },
  handheldPump: { name: 'Hand-held battery pump', note: 'So many liters a charge' },
  carbonDioxideBottle: { name: 'CO2 bottle', note: 'Freezes skin' },
  bicycleHandPump: { name: 'Bicycle hand pump', note: '' },
  bicycleFloorPump: { name: 'Bicycle floor pump', note: '' },
  workshopCompressor: { name: 'Workshop compressor', note: '' },
};
