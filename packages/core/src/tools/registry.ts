import { batteryClipCompressor } from './batteryClipCompressor';
import { bicycleFloorPump } from './bicycleFloorPump';
import { bicycleHandPump } from './bicycleHandPump';
import { carbonDioxideBottle } from './carbonDioxideBottle';
import { coreDeflator } from './coreDeflator';
import { handheldPump } from './handheldPump';
import { hoseManifold } from './hoseManifold';
import { onBoardCompressor } from './onBoardCompressor';
import { onBoardTwinCompressor } from './onBoardTwinCompressor';
import { presetDeflators } from './presetDeflators';
import { quickReleaseValves } from './quickReleaseValves';
import { socketCompressor } from './socketCompressor';
import { stick } from './stick';
import { workshopCompressor } from './workshopCompressor';
import type { InTool, OutTool } from './airTool';

/** Every kind of tool that lets air out or puts it in. A new one is a file in this folder and a line here. */
export const AIR_TOOLS = [
  stick,
  presetDeflators,
  coreDeflator,
  hoseManifold,
  quickReleaseValves,
  socketCompressor,
  batteryClipCompressor,
  onBoardCompressor,
  onBoardTwinCompressor,
  handheldPump,
  carbonDioxideBottle,
  bicycleHandPump,
  bicycleFloorPump,
  workshopCompressor,
] as const;

export type AirToolCode = (typeof AIR_TOOLS)[number]['code'];
export const AIR_TOOL_CODES = AIR_TOOLS.map(({ code }) => code) as [AirToolCode, ...AirToolCode[]];

export type OutToolCode = Extract<(typeof AIR_TOOLS)[number], { way: 'out' }>['code'];
export type InToolCode = Extract<(typeof AIR_TOOLS)[number], { way: 'in' }>['code'];

export const OUT_TOOLS: readonly (OutTool & { readonly code: OutToolCode })[] = AIR_TOOLS.filter(
  (tool) => tool.way === 'out',
);
export const IN_TOOLS: readonly (InTool & { readonly code: InToolCode })[] = AIR_TOOLS.filter(
  (tool) => tool.way === 'in',
);

export const outToolOf = (code: AirToolCode): OutTool | null => OUT_TOOLS.find((tool) => tool.code === code) ?? null;
export const inToolOf = (code: AirToolCode): InTool | null => IN_TOOLS.find((tool) => tool.code === code) ?? null;
