import type { GroundCode } from '../../grounds/registry';
import type { Pace } from '../drive';
import type { RehearsedKind } from '../drivenRig';
import type { Lie } from '../lie';

/**
 * One lesson: a short drive with decisions. A new one is a file in this folder and a line in `registry.ts`; what is asked,
 * drawn and judged follows from it. Places are invented, their measures assumptions.
 */
export interface Lesson {
  readonly code: string;
  readonly kinds: readonly RehearsedKind[];
  /** Whose pressures are asked for. */
  readonly ground: GroundCode;
  /** What is in the tires at the start: the road's pressure, or that of another ground. */
  readonly from: 'road' | GroundCode;
  readonly lie: Lie;
  /** The layer is as deep as it has to be for what is in the tires to fail: a shallower one would teach nothing. */
  readonly deepEnough?: true;
  /** Softer than the book's soil, as a natural logarithm: what the trade calls by this name. */
  readonly shift: number;
  /** Where the first axle stands at the start. */
  readonly startM: number;
  /** How it may be driven, the usual first. */
  readonly paces: readonly [Pace, ...Pace[]];
  /** Pushed ahead, of the machine's weight. */
  readonly pushedShare?: number;
  /** Nobody has a gauge: the tread is looked at. */
  readonly byTread?: true;
  /** So many more such places lie ahead before the air goes back in. */
  readonly more: number;
  /** Leaving it, and another way, min. */
  readonly aroundMin: number;
  /** Until somebody comes who pulls, min: with a tide behind it costs more than an hour. */
  readonly helpMin: number;
}
