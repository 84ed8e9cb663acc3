import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';

import type { InTire } from './inTire';
import type { RigWheel } from './wheels';

/** A rig as it stands: its wheels, what is known to be in each, and what its tires were found to be. */
export interface RigNow {
  readonly rig: RigRow;
  readonly wheels: readonly RigWheel[];
  /** What is in a wheel, cold, as far as anybody knows. */
  readonly known: (wheel: RigWheel) => InTire | undefined;
  readonly tests: readonly ProofTestRow[];
  /** The load case it is driven in; null goes by the one that stands. */
  readonly loadCaseId: string | null;
  /** One mark of the person's gauge, kPa. */
  readonly stepKpa: number;
}
