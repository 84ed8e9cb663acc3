import type { TireBuild } from '../contact/stiffness';
import type { Source } from '../source';

/** What a limit looks at. Pressures are cold gauge pressures. */
export interface LimitContext {
  readonly build: TireBuild;
  readonly wheelLoadKg: number;
  readonly beadLocks: boolean;
  /** The lowest that the person accepts, kPa; null goes by the trade's. */
  readonly heldFloorKpa: number | null;
  /** True once the person has said that they are stuck and nothing else helped. */
  readonly stuck: boolean;
}

/** A pressure below which one thing goes wrong. A new floor is a file in this folder and a line in `floors.ts`. */
export interface Floor {
  readonly code: string;
  readonly source: Source;
  /** kPa; zero or less where this floor does not bind at any pressure. */
  readonly pressureKpa: (context: LimitContext) => number;
}
