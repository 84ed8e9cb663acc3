import type { AxlePosition, WheelCode } from './geometry';
import type { Posture } from './postures';

/**
 * How the loads of a case are known, best first: `scales`, each wheel or axle stood on one; `moments`, the empty axle
 * loads and what is put on where; `posture`, rider and bicycle by how the rider sits; `split`, the whole alone, by the kind of
 * machine. `fullAndEmpty` is as good as scales at either end: weighed once full and once empty, and so full today.
 */
export const LOAD_METHODS = ['scales', 'moments', 'posture', 'split', 'fullAndEmpty'] as const;
export type LoadMethod = (typeof LOAD_METHODS)[number];

/** Which part of an axle stood on the scale. On an axle with pairs, `left` and `right` are the pairs. */
export type WeighedPart = 'axle' | WheelCode;

export interface Weighing {
  readonly position: AxlePosition;
  readonly part: WeighedPart;
  readonly loadKg: number;
}

/** Empty load on an axle, or of an uncoupled trailer on its drawbar. */
export interface UnladenLoad {
  readonly position: AxlePosition | 'coupling';
  readonly loadKg: number;
}

interface Placed {
  readonly name: string;
  readonly body: 'vehicle' | 'trailer';
  /** Behind the front axle, on a trailer behind the coupling. mm, less than zero ahead of it. */
  readonly behindMm: number;
  /** To the right of the middle, mm; null counts as the middle. */
  readonly rightMm: number | null;
}

/** Something put on: a thing of known weight, or a tank that is so full. */
export type LoadItem =
  | (Placed & { readonly kind: 'thing'; readonly massKg: number })
  | (Placed & {
      readonly kind: 'tank';
      readonly liters: number;
      readonly densityKgPerL: number;
      /** From empty, 0, to full, 1. */
      readonly level: number;
    });

export const itemMassKg = (item: LoadItem): number =>
  item.kind === 'thing' ? item.massKg : item.liters * item.densityKgPerL * item.level;

export interface PostureLoad {
  readonly posture: Posture;
  /** The person's own share on the front wheel, where they know it better. */
  readonly frontShare: number | null;
  readonly riderKg: number;
  readonly bikeKg: number;
}

/** One way a rig is loaded. Only the parts that its method needs are looked at. */
export interface LoadCase {
  readonly method: LoadMethod;
  readonly weighed: readonly Weighing[];
  /** The whole rig on the weighbridge: as a check on its parts, or what is split. */
  readonly wholeKg: number | null;
  readonly unladen: readonly UnladenLoad[];
  readonly items: readonly LoadItem[];
  readonly posture: PostureLoad | null;
  /** How full today what was weighed full and empty is, 0 to 1; null takes it full. */
  readonly level: number | null;
  /** What of the whole is on the front axle, 0 to 1, as its kind is built and loaded. */
  readonly split: { readonly frontShare: number } | null;
}
