import { contactPatch } from '../contact/contactPatch';
import { standingDiameterMm } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import type { AxlePosition } from '../loads/geometry';
import type { Kind } from '../families/family';
import { STANDARD_GRAVITY } from '../units/units';

/** An axle that is driven about: its wheels stand and act alike. */
export interface DrivenAxle {
  readonly position: AxlePosition;
  readonly build: TireBuild;
  readonly wheels: number;
  /** On one wheel, on the level. */
  readonly wheelLoadKg: number;
  readonly driven: boolean;
  /** Behind the first axle. */
  readonly behindM: number;
}

export interface DrivenRig {
  readonly axles: readonly DrivenAxle[];
  readonly massKg: number;
  /** Its middle of weight above the ground, and its lowest part between the wheels. */
  readonly weightM: number;
  readonly bellyM: number;
}

/** How such machines are built, where nobody measures it. Assumptions. Those on two wheels fall over first: none of it holds for them. */
const BUILT: Readonly<Record<RehearsedKind, { readonly weightM: number; readonly bellyM: number }>> = {
  car: { weightM: 0.7, bellyM: 0.24 },
  quad: { weightM: 0.6, bellyM: 0.28 },
  farm: { weightM: 1.2, bellyM: 0.45 },
};

/** Its lowest part between the wheels of a machine of a kind, above the ground, m. Assumption. */
export const bellyOf = (kind: RehearsedKind): number => BUILT[kind].bellyM;

/** Kinds that can be rehearsed with. */
export const REHEARSED_KINDS = ['car', 'quad', 'farm'] as const satisfies readonly Kind[];
export type RehearsedKind = (typeof REHEARSED_KINDS)[number];

export const canRehearse = (kind: Kind): kind is RehearsedKind => (REHEARSED_KINDS as readonly Kind[]).includes(kind);

/** A machine of a kind on its axles. */
export const drivenRig = (kind: RehearsedKind, axles: readonly DrivenAxle[]): DrivenRig => ({
  axles,
  massKg: axles.reduce((sum, { wheels, wheelLoadKg }) => sum + wheels * wheelLoadKg, 0),
  ...BUILT[kind],
});

/** How one wheel stands: kN and m. */
export interface Standing {
  readonly areaM2: number;
  readonly widthM: number;
  readonly lengthM: number;
  readonly loadKn: number;
  readonly groundKpa: number;
  readonly diameterM: number;
}

/** Loads are told apart by this share of what stands on a wheel: a run asks for the same ones over and over. */
const LOAD_STEP = 0.005;

/** How wheels of a machine stand at one pressure an axle, by the load of the moment; null where one would be squeezed flat. */
export function standingOf(
  { axles }: DrivenRig,
  pressuresKpa: readonly number[],
): (axle: number, loadKg: number) => Standing | null {
  const known = axles.map(() => new Map<number, Standing | null>());
  return (axle, loadKg) => {
    const { build, wheelLoadKg } = axles[axle]!;
    const step = Math.max(1, Math.round(loadKg / (wheelLoadKg * LOAD_STEP)));
    const before = known[axle]!.get(step);
    if (before !== undefined) return before;
    const kg = step * wheelLoadKg * LOAD_STEP;
    const patch = contactPatch(build, kg, pressuresKpa[axle]!);
    const value = patch && {
      areaM2: patch.grossAreaMm2 / 1e6,
      widthM: patch.widthMm / 1000,
      lengthM: patch.lengthMm / 1000,
      loadKn: (kg * STANDARD_GRAVITY) / 1000,
      groundKpa: patch.groundPressureKpa,
      diameterM: standingDiameterMm(build) / 1000,
    };
    known[axle]!.set(step, value);
    return value;
  };
}
