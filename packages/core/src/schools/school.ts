import type { TireBuild } from '../contact/stiffness';
import type { Source } from '../source';

/** What a school looks at. Pressures are cold gauge pressures. */
export interface SchoolContext {
  readonly build: TireBuild;
  readonly wheelLoadKg: number;
  readonly roadKpa: number;
  /** What the trade runs on this ground on the reference rig, kPa. */
  readonly referenceKpa: number;
}

/**
 * One way in which practitioners come to a number. A new school is a file in this folder and a line in `registry.ts`.
 * Limits are none of its business: the plan cuts it off where it would go past one.
 */
export interface School {
  readonly code: string;
  readonly source: Source;
  /** What it asks for, kPa; zero or less where it would have no air at all. */
  readonly wantedKpa: (context: SchoolContext) => number;
}
