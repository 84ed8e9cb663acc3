/** One kind of air tool. */
interface AirTool {
  readonly code: string;
  /** Lets air out, or puts it in. */
  readonly way: 'out' | 'in';
}

/** Every kind of tool that lets air out or puts it in. Common practice, no source. */
export const AIR_TOOLS = [
  { code: 'stick', way: 'out' },
  { code: 'presetDeflators', way: 'out' },
  { code: 'coreDeflator', way: 'out' },
  { code: 'hoseManifold', way: 'out' },
  { code: 'quickReleaseValves', way: 'out' },
  { code: 'socketCompressor', way: 'in' },
  { code: 'batteryClipCompressor', way: 'in' },
  { code: 'onBoardCompressor', way: 'in' },
  { code: 'onBoardTwinCompressor', way: 'in' },
  { code: 'handheldPump', way: 'in' },
  { code: 'carbonDioxideBottle', way: 'in' },
  { code: 'bicycleHandPump', way: 'in' },
  { code: 'bicycleFloorPump', way: 'in' },
  { code: 'workshopCompressor', way: 'in' },
] as const satisfies readonly AirTool[];

export type AirToolCode = (typeof AIR_TOOLS)[number]['code'];
export const AIR_TOOL_CODES = AIR_TOOLS.map(({ code }) => code) as [AirToolCode, ...AirToolCode[]];
