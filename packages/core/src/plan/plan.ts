import type { CautionCode } from '../cautions/cautions';
import type { ContactPatch, MeasuredContact } from '../contact/contactPatch';
import type { GroundCode } from '../grounds/registry';
import type { BindingFloor } from '../limits/floors';
import type { AxlePosition } from '../loads/geometry';
import type { SchoolCode } from '../schools/registry';
import type { LoadRange } from '../tires/loadRange';
import type { Tire } from '../tires/tire';
import type { WorkingStep } from './working';

export interface PlanAxle {
  readonly position: AxlePosition;
  readonly tire: Tire;
  readonly loadRange: LoadRange;
  readonly leftLoadKg: number;
  readonly rightLoadKg: number;
  readonly placardKpa: number;
  readonly beadLocks: boolean;
  /** The lowest that the person accepts, kPa; null goes by the trade's. */
  readonly heldFloorKpa: number | null;
  readonly measuredContact?: MeasuredContact;
}

export interface PlanInput {
  readonly ground: GroundCode;
  /** The school whose number the plan goes by. */
  readonly school: SchoolCode;
  /** The person has said that they are stuck and nothing else helped: opens the way below the ordinary floor. */
  readonly stuckAccepted: boolean;
  readonly axles: readonly PlanAxle[];
}

/** What one school asks for on an axle, and what is left of it. */
export interface SchoolPlan {
  readonly code: SchoolCode;
  /** Before any limit, kPa. */
  readonly wantedKpa: number;
  /** Cut off at the limits, kPa. */
  readonly startKpa: number;
  readonly heldBy: 'floor' | 'placard' | null;
}

export interface AxlePlan {
  readonly position: AxlePosition;
  /** The heavier wheel of the axle, for which the axle's one pressure is found. */
  readonly wheelLoadKg: number;
  readonly roadKpa: number;
  readonly startKpa: number;
  readonly window: { readonly lowKpa: number; readonly highKpa: number };
  readonly floor: BindingFloor;
  /** What the school asks for before any limit. Null on the road, where the placard rules. */
  readonly wantedKpa: number | null;
  /** Which limit moved the start away from what was wanted, if one did. */
  readonly heldBy: 'floor' | 'placard' | null;
  /** Every school side by side; none on the road. */
  readonly schools: readonly SchoolPlan[];
  readonly atRoad: ContactPatch;
  readonly atStart: ContactPatch;
  /** How much lower the axle stands than at road pressure, mm. */
  readonly clearanceLostMm: number;
  readonly measuredContact: MeasuredContact | null;
  readonly working: readonly WorkingStep[];
}

export interface GroundPlan {
  readonly ground: GroundCode;
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** True where this ground goes below the ordinary floor once the person has said that they are stuck. */
  readonly needsStuckStep: boolean;
  readonly axles: readonly AxlePlan[];
  readonly cautions: readonly CautionCode[];
}

/** There is no safe number, and what stands in its way. */
export type PlanProblem =
  /** The axle's road pressure does not hold its load up. */
  | {
      readonly code: 'placardCannotCarry';
      readonly position: AxlePosition;
      readonly wheelLoadKg: number;
      readonly placardKpa: number;
      /** The pressure at which the sidewall would bend no further than it may. */
      readonly neededKpa: number;
    }
  /** The person accepts nothing as low as the road pressure. */
  | {
      readonly code: 'floorAboveRoad';
      readonly position: AxlePosition;
      readonly floorKpa: number;
      readonly placardKpa: number;
    };
