import type { AirToolRow, RigRow } from '@dunlinmoss/contract';
import { familyOf, usualValve, type AirToolCode, type AxlePosition, type Kind, type ValveCode } from '@dunlinmoss/core';

/** What is to be let out of a wheel. Pressures as the gauge shows them now, kPa. */
export interface LetOutTo {
  readonly position: AxlePosition;
  readonly fromKpa: number | undefined;
  readonly targetKpa: number;
}

/** How deflators that stop by themselves stand to today's plan, for one axle. */
export interface DeflatorsToday {
  readonly position: AxlePosition;
  /**
   * They stop `above` it: the rest is let out by hand. `below` it: they would go on past it. Or they let `nothing` out,
   * because no more is in the tire than they stop at.
   */
  readonly code: 'above' | 'below' | 'nothing';
  readonly setKpa: number;
  readonly targetKpa: number;
}

/** Axle by axle, where preset deflators are set to something else than today's plan; none where nobody said to what. */
export function deflatorsToday(
  tool: Pick<AirToolRow, 'kind' | 'setKpa'> | undefined,
  wheels: readonly LetOutTo[],
  stepKpa: number,
): DeflatorsToday[] {
  if (tool?.kind !== 'presetDeflators' || tool.setKpa === null) return [];
  const { setKpa } = tool;
  const axles = [...new Map(wheels.map((wheel) => [wheel.position, wheel])).values()];
  return axles.flatMap(({ position, fromKpa, targetKpa }): DeflatorsToday[] => {
    if (Math.abs(setKpa - targetKpa) < stepKpa / 2) return [];
    const nothing = fromKpa !== undefined && setKpa >= fromKpa - stepKpa / 2 && fromKpa > targetKpa;
    return [{ position, code: nothing ? 'nothing' : setKpa > targetKpa ? 'above' : 'below', setKpa, targetKpa }];
  });
}

/** A wheel's valve that a tool does not fit. */
export interface ValveMisfit {
  readonly position: AxlePosition;
  readonly valve: ValveCode;
  /** Nobody looked: it is what such rigs usually have. */
  readonly assumed: boolean;
}

/** The axles that a tool needs an adapter for; none where nobody said what it fits. */
export function valveMisfits(
  tool: Pick<AirToolRow, 'valves'> | undefined,
  { family, axles }: Pick<RigRow, 'family' | 'axles'>,
): ValveMisfit[] {
  if (!tool || tool.valves.length === 0) return [];
  const usual = usualValve(familyOf(family).kind);
  return axles.flatMap(({ position, valve }): ValveMisfit[] =>
    tool.valves.includes(valve ?? usual) ? [] : [{ position, valve: valve ?? usual, assumed: valve === null }],
  );
}

/** Tools that only bicycles are pumped or let down with, and those that a bicycle never is. Common practice, no source. */
const BICYCLES_ALONE: readonly AirToolCode[] = ['bicycleHandPump', 'bicycleFloorPump'];
const NOT_FOR_BICYCLES: readonly AirToolCode[] = [
  'presetDeflators',
  'hoseManifold',
  'quickReleaseValves',
  'socketCompressor',
  'batteryClipCompressor',
  'onBoardCompressor',
  'onBoardTwinCompressor',
];
/** Stands in a workshop: nobody gets home with it. */
const IN_THE_WORKSHOP: readonly AirToolCode[] = ['workshopCompressor'];
/** Too small for the tires of a farm. */
const NOT_FOR_FARMS: readonly AirToolCode[] = ['handheldPump', 'carbonDioxideBottle', 'socketCompressor'];

/** Whether people use such a tool on such a rig. */
export const suitsKind = (code: AirToolCode, kind: Kind): boolean =>
  kind === 'bicycle'
    ? !NOT_FOR_BICYCLES.includes(code)
    : !BICYCLES_ALONE.includes(code) &&
      (kind === 'farm' ? !NOT_FOR_FARMS.includes(code) : !IN_THE_WORKSHOP.includes(code));
