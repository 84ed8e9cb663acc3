import type { PlanAxle } from '../axle/planAxle';
import type { CautionCode } from '../cautions/registry';
import type { ContactPatch } from '../contact/contactPatch';
import type { OwnTire } from '../contact/ownTire';
import type { FamilyCode } from '../families/registry';
import type { GroundCode } from '../grounds/registry';
import type { BindingCeiling, CeilingCode, SoftCeilingCode } from '../limits/ceilings';
import type { BindingFloor, FloorCode } from '../limits/floors';
import type { AxlePosition } from '../loads/geometry';
import type { ModifierCode } from '../modifiers/registry';
import type { MissingInput } from '../schools/school';
import type { SchoolCode } from '../schools/registry';
import type { WorkingStep } from '../working/working';

export interface PlanInput {
  readonly family: FamilyCode;
  readonly ground: GroundCode;
  /** The school whose number the plan goes by; null goes by the first that can answer. */
  readonly school: SchoolCode | null;
  /** What the person says of the day. */
  readonly modifiers: readonly ModifierCode[];
  /** How fast it has to go here, km/h; null goes by the ground's guide. */
  readonly speedKmh: number | null;
  /** Fastest on the road, km/h; null where the tires' own rating is what matters. */
  readonly roadSpeedKmh: number | null;
  /** The rider alone, kg; null where that is not known. */
  readonly riderKg: number | null;
  /** The lowest that the person accepts, kPa; null goes by the trade's. */
  readonly ownFloorKpa: number | null;
  /** The person has said that they are stuck and nothing else helped: opens the way below the ordinary floor. */
  readonly stuckAccepted: boolean;
  readonly axles: readonly PlanAxle[];
  /** Nobody knows what stands on the wheels: loads are those of a usual rig, and only what needs none counts. */
  readonly unweighed?: boolean;
  /** What was proved on this ground for axles of this rig, cold, at today's load: it stands before the rule. */
  readonly proved?: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];
}

/**
 * Which limit moved a number; `rear` where a bicycle's front would be the firmer of the two, `rearGap` where it would be
 * too far below its rear.
 */
export type ClampCode = FloorCode | CeilingCode | SoftCeilingCode | 'rear' | 'rearGap' | null;

/** What one school asks for on an axle, and what is left of it; or what it would have to know. */
export type SchoolPlan =
  | {
      readonly code: SchoolCode;
      readonly ok: true;
      /** Before any limit, kPa. */
      readonly targetKpa: number;
      /** Cut off at the limits, kPa. */
      readonly startKpa: number;
      readonly clampedBy: ClampCode;
    }
  | { readonly code: SchoolCode; readonly ok: false; readonly needs: MissingInput };

/** Something that belongs beside a number, with its figures. */
export type Remark =
  /** Several grounds end on the same floor, this one among them. */
  | { readonly code: 'groundsOnFloor'; readonly floor: FloorCode; readonly grounds: readonly GroundCode[] }
  /** Schools differ by more than half of the number. */
  | {
      readonly code: 'schoolsApart';
      readonly softest: SchoolCode;
      readonly softestKpa: number;
      readonly firmest: SchoolCode;
      readonly firmestKpa: number;
    }
  /** A farm tire bends further than any that is right: load, size or pressure is wrong somewhere. */
  | { readonly code: 'bendUnlikely'; readonly deflectionShare: number; readonly mostShare: number }
  /** Heavy plies: letting air out lengthens the footprint by so much less than on a standard carcass, 0 to 1. */
  | { readonly code: 'gainsLess'; readonly lessShare: number }
  /** On pavement the load asks for more than what it is driven with. */
  | { readonly code: 'roadTooLow'; readonly roadKpa: number; readonly neededKpa: number }
  /** People go lower here than the number, which stands on a floor; at walking pace, and at their own risk. */
  | {
      readonly code: 'practiceLower';
      readonly lowKpa: number;
      readonly highKpa: number;
      readonly floor: FloorCode;
      readonly speedKmh: number;
    }
  /** Corrugated: the low end of the window spares tire, vehicle and track, at what it allows. */
  | {
      readonly code: 'softerOnCorrugations';
      readonly lowKpa: number;
      readonly highKpa: number;
      readonly speedKmh: number | null;
    }
  /** No air before pavement: how fast home on this, and what raising it for that would risk here. */
  | {
      readonly code: 'noAirNear';
      readonly homeKmh: number;
      readonly raisedKpa: number | null;
      readonly raisedForKmh: number;
      /** To be stuck here with that, 0 to 1; null where the ground holds no rig. */
      readonly bogChance: number | null;
    }
  /** The number hangs on the road pressure alone; this would settle it. */
  | {
      readonly code: 'ratingUnread';
      readonly needs: MissingInput;
      /** On a wheel when it is driven with the road pressure, kg. */
      readonly roadLoadKg: number;
    };

export interface AxlePlan {
  readonly position: AxlePosition;
  /** The heavier wheel of the axle, for which the axle's one pressure is found. */
  readonly wheelLoadKg: number;
  /** Cold on the road: as entered, else what the load takes at road speed; null where neither is known. */
  readonly roadKpa: number | null;
  /** What was proved, else the rule; within the limits either way. */
  readonly startKpa: number;
  /** What the school alone comes to within the limits, kPa. */
  readonly ruleKpa: number;
  /** What was proved here before any limit, kPa; null where nothing was, or the placard rules. */
  readonly provedKpa: number | null;
  readonly window: { readonly lowKpa: number; readonly highKpa: number };
  readonly floor: BindingFloor;
  /** Null where no ceiling is known. */
  readonly ceiling: BindingCeiling | null;
  /** What the school asks for before any limit. Null where the placard rules. */
  readonly targetKpa: number | null;
  /** Which limit moved the start away from what was wanted, if one did. */
  readonly clampedBy: ClampCode;
  /** Every school of the family side by side; none where the placard rules. */
  readonly schools: readonly SchoolPlan[];
  /** What counts on this axle: chosen, or known from the rig. */
  readonly modifiers: readonly ModifierCode[];
  /** Null where there is no road pressure to compare with. */
  readonly atRoad: ContactPatch | null;
  readonly atStart: ContactPatch;
  /** What the tire carries at the start and at the speed planned for, kg; null on the road where the load curve is unknown. */
  readonly carriesKg: number | null;
  /** How much lower the axle stands than at road pressure, mm; null without one. */
  readonly clearanceLostMm: number | null;
  /** The fastest that the start allows here, km/h; null where nothing holds it back. */
  readonly allowsKmh: number | null;
  readonly remarks: readonly Remark[];
  readonly own: OwnTire | null;
  readonly working: readonly WorkingStep[];
}

export interface GroundPlan {
  readonly family: FamilyCode;
  readonly ground: GroundCode;
  /** The school that the numbers go by; null where the placard rules. */
  readonly school: SchoolCode | null;
  /** The school that was held and could not answer. */
  readonly silentSchool: { readonly code: SchoolCode; readonly needs: MissingInput } | null;
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** The ground's own guide, whatever is needed; null where nothing sets one. */
  readonly groundGuideKmh: number | null;
  /** The fastest that the pressures allow here, km/h; null where nothing holds them back. */
  readonly upToKmh: number | null;
  /** The speed that the limits were looked at for; null where nothing sets one. */
  readonly speedKmh: number | null;
  /** True where this ground goes below the ordinary floor once the person has said that they are stuck. */
  readonly needsStuckStep: boolean;
  readonly axles: readonly AxlePlan[];
  readonly cautions: readonly CautionCode[];
}

/** There is no safe number, and what stands in its way. */
export type PlanProblem =
  /** What must not be gone below lies above what must not be passed. */
  | {
      readonly code: 'floorAboveCeiling';
      readonly position: AxlePosition;
      readonly wheelLoadKg: number;
      readonly floor: FloorCode;
      readonly floorKpa: number;
      readonly ceiling: CeilingCode;
      readonly ceilingKpa: number;
    }
  /** More load than the tire carries at any pressure, at this speed. */
  | {
      readonly code: 'noPressureCarries';
      readonly position: AxlePosition;
      readonly wheelLoadKg: number;
      readonly mostKg: number;
      readonly speedKmh: number | null;
    }
  | {
      readonly code: 'tooFast';
      readonly position: AxlePosition;
      readonly speedKmh: number;
      readonly topKmh: number;
    }
  | {
      readonly code: 'placardAboveSidewall';
      readonly position: AxlePosition;
      readonly placardKpa: number;
      readonly maxKpa: number;
    }
  /** No pressure at all is enough for this load here. */
  | {
      readonly code: 'noPressureSuffices';
      readonly position: AxlePosition;
      readonly wheelLoadKg: number;
      readonly floor: FloorCode;
    }
  /** Under this load the tire would lie flat at what the school, or the placard, asks for. */
  | {
      readonly code: 'liesFlat';
      readonly position: AxlePosition;
      readonly wheelLoadKg: number;
      readonly pressureKpa: number;
    }
  /** The placard rules here, and it is not entered. */
  | { readonly code: 'roadMissing'; readonly position: AxlePosition }
  /** No school of the family can answer on every axle. */
  | { readonly code: 'noSchoolAnswers'; readonly needs: readonly MissingInput[] }
  /** Nobody takes such a rig onto such ground. */
  | { readonly code: 'otherGround' };
