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
  readonly build: TireBuild;
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
  /** The speed planned for, km/h; null where nothing sets one. */
  readonly speedKmh: number | null;
  readonly roadSpeedKmh: number | null;
  /** Speed at which pavement must be driven on this pressure, km/h; null where air is near. */
  readonly reachAirKmh: number | null;
  readonly riderKg: number | null;
  readonly ownFloorKpa: number | null;
  /** True once the person has said that they are stuck and nothing else helped. */
  readonly stuck: boolean;
}

/** Where the pressure of placard or manual rules, and no school is asked. */
export const placardRules = ({ family, ground }: AxleContext): boolean => family.placardRules && ground.paved === true;
