import type { AxlePosition } from '../loads/geometry';
import type { Source } from '../sources/source';
import type { RigFacts } from './rigFacts';

/** `danger` can hurt someone; `care` wants looking at. */
export type FindingSeverity = 'danger' | 'care';

/** Something wrong with a rig, with its numbers; the sentence and what to do about it are made by the interface. */
export type Finding =
  | { readonly code: 'overTire'; readonly position: AxlePosition; readonly loadKg: number; readonly mostKg: number }
  | {
      readonly code: 'overAtPressure';
      readonly position: AxlePosition;
      /** Which pressure: that of the road, or what is in it now. */
      readonly at: 'road' | 'present';
      readonly pressureKpa: number;
      readonly loadKg: number;
      readonly carriesKg: number;
      /** Carried on below the softest line that is known. */
      readonly extrapolated: boolean;
      /** The pressure that would do; null where none does at this speed. */
      readonly neededKpa: number | null;
    }
  | {
      readonly code: 'belowFirstRow';
      readonly position: AxlePosition;
      readonly at: 'road' | 'present';
      readonly pressureKpa: number;
      readonly firstKpa: number;
    }
  | { readonly code: 'tooFast'; readonly position: AxlePosition; readonly speedKmh: number; readonly topKmh: number }
  | {
      readonly code: 'overAxleRating';
      readonly position: AxlePosition;
      readonly loadKg: number;
      readonly ratingKg: number;
    }
  | {
      readonly code: 'uneven';
      readonly position: AxlePosition;
      readonly leftKg: number;
      readonly rightKg: number;
      readonly measured: boolean;
    }
  | { readonly code: 'mixedConstruction'; readonly radial: AxlePosition; readonly bias: AxlePosition }
  | {
      readonly code: 'drivenDiameters';
      readonly front: AxlePosition;
      readonly rear: AxlePosition;
      readonly frontMm: number;
      readonly rearMm: number;
    }
  | {
      readonly code: 'rimWidth';
      readonly position: AxlePosition;
      readonly rimInnerMm: number;
      readonly tireMm: number;
      readonly lowMm: number;
      readonly highMm: number;
    }
  | {
      readonly code: 'pressureOutsideSidewall';
      readonly position: AxlePosition;
      readonly at: 'road' | 'present';
      readonly pressureKpa: number;
      readonly limit: 'min' | 'max';
      readonly limitKpa: number;
    }
  | {
      readonly code: 'noGaugeReads';
      readonly position: AxlePosition;
      readonly pressureKpa: number;
    }
  | {
      readonly code: 'partsDontSum';
      readonly sumKg: number;
      readonly wholeKg: number;
      readonly toleranceKg: number;
    };

export type FindingCode = Finding['code'];

/** One thing that can be wrong with a rig. A new check is a file in this folder and a line in `registry.ts`. */
export interface Check {
  readonly severity: FindingSeverity;
  readonly source: Source;
  readonly find: (facts: RigFacts) => readonly Finding[];
}
