import type { AirToolRow } from '@dunlinmoss/contract';
import { IN_TOOLS, OUT_TOOLS, type AirToolCode, type Kind } from '@dunlinmoss/core';
import type { ToolUsed } from '@dunlinmoss/domain';

import { readStored, writeStored } from '../settings/storage';

/** What each kind of rig most often has at hand, where the person has no tool of their own. Assumption. */
const USUAL: Record<'out' | 'in', Record<Kind, AirToolCode>> = {
  out: { car: 'stick', quad: 'stick', motorcycle: 'stick', bicycle: 'stick', farm: 'stick' },
  in: {
    car: 'batteryClipCompressor',
    quad: 'handheldPump',
    motorcycle: 'handheldPump',
    bicycle: 'bicycleFloorPump',
    farm: 'workshopCompressor',
  },
};

/** Every tool for a way: the person's own first, then each kind they have none of. Its code is an id, or a kind. */
export function toolsFor(way: 'out' | 'in', own: readonly AirToolRow[]): readonly { code: string; used: ToolUsed }[] {
  const kinds = (way === 'out' ? OUT_TOOLS : IN_TOOLS).map(({ code }): AirToolCode => code);
  return [
    ...own
      .filter(({ kind }) => kinds.includes(kind))
      .map((tool) => ({ code: tool.id, used: { kind: tool.kind, tool } })),
    ...kinds
      .filter((kind) => !own.some((tool) => tool.kind === kind))
      .map((kind) => ({ code: kind as string, used: { kind, tool: undefined } })),
  ];
}

const keyOf = (way: string, rigId: string): string => `tool:${way}:${rigId}`;

/** The tool that was used last with a rig, else one's own, else what is usual. */
export function lastTool(way: 'out' | 'in', rigId: string, kind: Kind, own: readonly AirToolRow[]): string {
  const all = toolsFor(way, own);
  const last = readStored<string>(keyOf(way, rigId));
  const fits = ({ used }: { used: ToolUsed }): boolean =>
    (used.kind.startsWith('bicycle') || used.kind === 'handheldPump') === (kind === 'bicycle') || way === 'out';
  return (
    all.find(({ code }) => code === last)?.code ??
    all.find((each) => each.used.tool !== undefined && fits(each))?.code ??
    USUAL[way][kind]
  );
}

export const rememberTool = (way: 'out' | 'in', rigId: string, code: string): void =>
  void writeStored(keyOf(way, rigId), code);
