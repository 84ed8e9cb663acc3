import type { TireBuild } from '../contact/stiffness';
import type { Family } from '../families/family';
import type { Ground } from '../grounds/ground';
import type { Figure } from '../grounds/figure';
import type { PlanAxle } from './planAxle';

/** Everything that schools and limits look at on one axle. Pressures are cold gauge pressures. */
export interface AxleContext {
  readonly family: Family;
  readonly ground: Ground;
  readonly axle: PlanAxle;
  /** What schools and limits go by: a test that may have found nothing counts for nothing here. */
  readonly build: TireBuild;
  /** With everything that its own tests gave, for the print that it leaves. */
  readonly printBuild: TireBuild;
  /** Nobody knows what stands on the wheels: only what needs no load counts. */
  readonly unweighed: boolean;
  /** The softest pressure of the tire's own data sheet, kPa; null without one. */
  readonly sheetKpa: number | null;
  /** The heavier wheel of this axle, kg. */
  readonly wheelLoadKg: number;
  /** The heaviest wheel of the rig, kg: braking and steep descents throw as much on the front of a bicycle. */
  readonly heaviestWheelKg: number;
  /** On all axles together, each wheel counted once, kg. */
  readonly totalKg: number;
  /** The sum of ground and modifiers on a bicycle, psi at the trade's 24 psi, by the figure asked for. */
  readonly shiftPsi: Readonly<Record<Figure, number>>;
  /** The ground's part of it, and what of it counts on narrow tires. */
  readonly groundShiftPsi: Readonly<Record<Figure, number>>;
  readonly narrowShiftPsi: Readonly<Record<Figure, number>>;
  readonly highTorque: boolean;
  /** The speed planned for, km/h: needed, else the ground's guide on such a day; null where nothing sets one. */
  readonly speedKmh: number | null;
  readonly roadSpeedKmh: number | null;
  readonly riderKg: number | null;
  readonly ownFloorKpa: number | null;
  /** True once the person has said that they are stuck and nothing else helped. */
  readonly stuck: boolean;
}

/** An axle's context, and what of the day counts on it: that is in the context's figures already. */
export interface DayContext<Code extends string = string> extends AxleContext {
  readonly modifiers: readonly Code[];
}

/** Where the pressure of placard or manual rules, and no school is asked. */
export const placardRules = ({ family, ground }: AxleContext): boolean => family.placardRules && ground.paved === true;
