import type { AirToolCode } from '@dunlinmoss/core';

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
