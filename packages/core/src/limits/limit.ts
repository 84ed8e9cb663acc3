import type { AxleContext } from '../axle/axleContext';
import type { WorkingStep } from '../working/working';
import type { Source } from '../sources/source';

/**
 * A pressure past which one thing goes wrong: a floor must not be gone below, a ceiling not be passed. A new one is a
 * file in this folder and a line in `floors.ts` or `ceilings.ts`.
 */
export interface Limit {
  readonly code: string;
  readonly source: Source;
  /** Where it depends on what is known of the rig. */
  readonly sourceOf?: (context: AxleContext) => Source;
  /** Needs to know nothing of the load. */
  readonly withoutLoad?: true;
  /**
   * kPa; null where this limit has nothing to say. A floor may be zero or less where it never binds, and Infinity when no
   * pressure suffices.
   */
  readonly pressureKpa: (context: AxleContext) => number | null;
  /** How it came to that. */
  readonly trace: (context: AxleContext, pressureKpa: number) => readonly WorkingStep[];
}
