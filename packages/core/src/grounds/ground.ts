import type { Source } from '../source';

/**
 * One kind of ground. `onReferenceRig` is what the trade runs there on the reference rig (see `plan/referenceRig.ts`);
 * null means the road, where the placard rules. Start is the firm end of the window: on site it is easy to let
 * more out and slow to put it back.
 */
export interface Ground {
  readonly code: string;
  readonly onReferenceRig: {
    readonly startPsi: number;
    readonly lowPsi: number;
    readonly highPsi: number;
    readonly source: Source;
    /** Where the low end has another standing than the rest. */
    readonly lowSource?: Source;
  } | null;
  /** Common practice; null means law and tire set the speed. */
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** Below the ordinary floors, and only after the person has said so. */
  readonly deliberate?: true;
}
