import type { AxleContext } from '../plan/axleContext';
import type { WorkingStep } from '../plan/working';
import type { Source } from '../source';

/**
 * A pressure past which one thing goes wrong: a floor must not be gone below, a ceiling not be passed. A new one is a
 * file in this folder and a line in `floors.ts` or `ceilings.ts`.
 */
export interface Limit {
  readonly code: string;
  readonly source: Source;
  /**
   * kPa; null where this limit has nothing to say. A floor may come out at zero or less, where it binds nowhere, and
   * without end, where no pressure will do.
   */
  readonly pressureKpa: (context: AxleContext) => number | null;
  /** How it came to that. */
  readonly steps: (context: AxleContext, pressureKpa: number) => readonly WorkingStep[];
}
