import type { Kind } from '../families/family';
import type { Figure } from '../grounds/figure';
import type { Trait } from '../grounds/ground';
import type { PlanAxle } from '../axle/planAxle';
import type { Source } from '../sources/source';

/**
 * Something that changes what a ground asks for. What the person says of the day is chosen; what the rig itself tells
 * (`fromRig`) is applied by itself. A new one is a file in this folder and a line in `registry.ts`.
 */
export interface Modifier {
  readonly code: string;
  readonly kinds: readonly Kind[];
  /** What a ground has to be like for it to count; everywhere off the road without it. */
  readonly on?: Trait;
  readonly fromRig?: (axle: PlanAxle) => boolean;
  /** Psi up or down, at the trade's 24 psi; at other pressures in proportion, so that very wide tires change less. */
  readonly shift?: Readonly<Record<Figure, number>>;
  /** Adds nothing on narrow bicycle tires. */
  readonly notOnNarrow?: true;
  /** The start goes to this end of the window. */
  readonly startAt?: 'low' | 'high';
  /** What is left of the speed guide. Assumption wherever it stands. */
  readonly speedShare?: number;
  /** Pulls hard for long: a farm tire then has no bonus for being slow. */
  readonly highTorque?: true;
  /** Says the opposite of this one: of the two neither counts. */
  readonly opposite?: string;
  readonly source: Source;
}
