import type { AxlePosition, WheelCount } from '../loads/geometry';
import type { LoadMethod } from '../loads/loadCase';
import type { Posture } from '../loads/postures';
import type { TireUse } from '../tires/tire';
import type { LoadPositionCode } from './loadPositions';
import type { Source } from '../sources/source';
import type { Likely } from './question';

/** What a form asks of a rig of a family beyond name and tires. */
export type RigFormField =
  /** Tube or tubeless. */
  | 'tube'
  | 'beadLock'
  | 'rimLock'
  /** Inner width of the rim, and the width the tire really has on it. */
  | 'rimWidth'
  | 'insert'
  | 'casing'
  | 'loadRange'
  /** The highest speed on the road, where tires carry by speed. */
  | 'topSpeed'
  /** Pairs of wheels on the axles behind. */
  | 'pairs'
  /** A trailer may be coupled. */
  | 'trailer'
  /** A second axle beside the last one. */
  | 'tandem'
  /** Which axles are driven. */
  | 'driven'
  | 'treadWidth'
  | 'loadLines'
  | 'dataSheet'
  | 'axleRating';

export interface AxleTemplate {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  /** Behind the front axle or coupling, mm. */
  readonly behindMm: number;
  readonly trackMm: number | null;
  readonly driven: boolean;
}

/**
 * What is likely of a rig of a family, to catch slips of unit and decimal. Assumptions: loads and lengths are wide of every
 * real one; a road pressure is what most run, and is asked back outside half to double of it (`pressureDoubt`).
 */
export interface LikelyValues {
  readonly wheelLoadKg: Likely;
  readonly wheelbaseMm: Likely;
  readonly trackMm: Likely | null;
  /** What such rigs are usually driven with on the road. */
  readonly roadKpa: Likely;
}

/** Families that are driven and thought of alike: grounds, schools, limits and cautions go by it. */
export const KINDS = ['car', 'quad', 'motorcycle', 'bicycle', 'farm'] as const;
export type Kind = (typeof KINDS)[number];

/** The lowest before a tire may leave its rim, cold, kPa: with nothing but air behind the bead, and with it held. */
export interface BeadFloors {
  readonly looseKpa: number;
  readonly heldKpa: number;
  /** For one bad patch, straight and at walking pace, then back up. */
  readonly stuckLooseKpa: number;
  readonly stuckHeldKpa: number;
  readonly source: Source;
}

/**
 * One kind of rig. A new family is a file in this folder and a line in `registry.ts`; form, checks and pictures follow
 * from it. Measures of a template are those of a common rig: assumptions that a person replaces by their own.
 */
export interface Family {
  readonly code: string;
  readonly kind: Kind;
  /** Tire uses of such a rig; another is questioned. */
  readonly tireUses: readonly TireUse[];
  readonly axles: readonly AxleTemplate[];
  readonly asks: readonly RigFormField[];
  /** Best first. */
  readonly loadMethods: readonly LoadMethod[];
  readonly posture?: Posture;
  readonly places: readonly LoadPositionCode[];
  readonly likely: LikelyValues;
  /** Fastest on the road where the rig itself sets it, km/h; null where the tire's own rating does. Assumption. */
  readonly roadSpeedKmh: number | null;
  /** The axles turn at one speed: tires of two diameters fight each other. Tractors are geared for two. */
  readonly drivenAxlesTurnAlike: boolean;
  /** Front and rear commonly have the same tires. */
  readonly tiresAlike: boolean;
  readonly bead: BeadFloors;
  /** Driven by a speed guide on soft tires; on a bicycle the ground itself slows. */
  readonly speedGuide: boolean;
  /** On the road the pressure of placard or manual rules. */
  readonly placardRules: boolean;
  /** What riders of this class start with on roads and dirt roads, kPa. Common practice, no source. */
  readonly classPressure?: {
    readonly lowKpa: number;
    readonly highKpa: number;
    /** With one rider of about 80 kg, kg. Assumption. */
    readonly totalKg: number;
  };
  /** What stands on a wheel of a common rig of this class, kg. Assumption. */
  readonly classWheelKg?: { readonly frontKg: number; readonly rearKg: number };
  /** The school it begins with where it can answer; without one, the first of its kind. */
  readonly firstSchool?: string;
  /** Carries a motor and a battery low down. */
  readonly electric?: true;
  /** A step of a trial, kPa. Common practice, no source. */
  readonly trialStepKpa: number;
}
