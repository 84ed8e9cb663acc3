import { contactPatch } from '../contact/contactPatch';
import { standingDiameterMm } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import { failure, success, type Result } from '../result/result';
import { STANDARD_GRAVITY } from '../units/units';
import type { Soil } from './soils';

/** How far the ground is sheared before it answers in full, m, and how much a climbing wheel slips. Handbook values of a wheel on sand. */
export const SHEAR_MODULUS_M = 0.02;
export const CLIMBING_SLIP = 0.2;

/** p = (kc/b + kφ)·zⁿ: what the ground pushes back with, kPa, once pressed in by so much. Published: Bekker. */
export const groundAnswerKpa = ({ kc, kPhi, n }: Soil, widthM: number, sinkageM: number): number =>
  (kc / widthM + kPhi) * sinkageM ** n;

/** The same turned round: how far a plate of this width sinks, m. */
export const sinkageM = ({ kc, kPhi, n }: Soil, widthM: number, pressureKpa: number): number =>
  (pressureKpa / (kc / widthM + kPhi)) ** (1 / n);

/** b·(kc/b + kφ)·z^(n+1)/(n+1): what pressing the rut down costs a wheel, kN. Published: Bekker. */
export const compactionResistanceKn = ({ kc, kPhi, n }: Soil, widthM: number, sinkage: number): number =>
  (widthM * (kc / widthM + kPhi) * sinkage ** (n + 1)) / (n + 1);

/**
 * (A·c + W·tanφ)·(1 − (K/(s·l))·(1 − e^(−s·l/K))): what a slipping patch pushes with, kN.
 * Published: Janosi and Hanamoto.
 *
 * @param slip 0 to 1, above 0
 */
export function thrustKn(
  { cohesionKpa, frictionDeg }: Soil,
  patch: { readonly areaM2: number; readonly lengthM: number; readonly loadKn: number },
  slip: number = CLIMBING_SLIP,
  shearModulusM: number = SHEAR_MODULUS_M,
): number {
  const most = patch.areaM2 * cohesionKpa + patch.loadKn * Math.tan((frictionDeg * Math.PI) / 180);
  const sheared = (slip * patch.lengthM) / shearModulusM;
  return most * (1 - (1 - Math.exp(-sheared)) / sheared);
}

/**
 * How far a rigid wheel of a diameter sinks under its load, m: no tire of its size sinks deeper. Published: Bekker.
 *
 * @param loadKn on the wheel
 */
export const rigidSinkageM = ({ kc, kPhi, n }: Soil, widthM: number, diameterM: number, loadKn: number): number =>
  ((3 * loadKn) / (widthM * (kc / widthM + kPhi) * (3 - n) * Math.sqrt(diameterM))) ** (2 / (2 * n + 1));

export interface WheelOnSoil {
  readonly groundPressureKpa: number;
  readonly sinkageMm: number;
  readonly resistanceKn: number;
  readonly thrustKn: number;
  readonly pullKn: number;
  /** The slope that the pull just holds, degrees; below zero where it can't move on the level. */
  readonly climbsDeg: number;
}

/** Why there is no figure. */
export type SoilProblem =
  /** The sidewall would be squeezed flat. */
  | { readonly code: 'flat' }
  /** Deeper than a third of its diameter: it sinks in. */
  | { readonly code: 'sinksIn'; readonly sinkageMm: number }
  /** Such ground has no bottom of its own: how deep it lies has to be given. */
  | { readonly code: 'depthMissing' };

/** Deeper than this share of its diameter a wheel has sunk in, and no figure means anything. Assumption. */
const SINKS_IN_SHARE = 1 / 3;

/**
 * One driven wheel on ground that gives way: how far it sinks, what the rut costs, what it pushes with, and the slope
 * that is left for climbing. Its own width and length count.
 *
 * Only pressing the rut down is counted; pushing up a bow wave, slip sinkage and tread are not. So it tells which of two
 * pressures is better more surely than it tells a slope; of a bicycle it tells nothing else.
 *
 * @param depthM how deep the soft layer lies; needed on snow
 * @example the reference rig on dry sand at 16 psi climbs about 6°, at 36 psi it can't move on the level
 */
export function wheelOnSoil(
  soil: Soil,
  build: TireBuild,
  loadKg: number,
  pressureKpa: number,
  depthM: number | null = null,
): Result<WheelOnSoil, SoilProblem> {
  if (soil.bottomless && depthM === null) return failure({ code: 'depthMissing' });
  const patch = contactPatch(build, loadKg, pressureKpa);
  if (!patch) return failure({ code: 'flat' });
  const loadKn = (loadKg * STANDARD_GRAVITY) / 1000;
  const [areaM2, widthM, lengthM] = [patch.grossAreaMm2 / 1e6, patch.widthMm / 1000, patch.lengthMm / 1000];
  const diameterM = standingDiameterMm(build) / 1000;
  const sinkage = Math.min(
    sinkageM(soil, widthM, patch.groundPressureKpa),
    rigidSinkageM(soil, widthM, diameterM, loadKn),
    depthM ?? Number.POSITIVE_INFINITY,
  );
  if (sinkage > SINKS_IN_SHARE * diameterM) return failure({ code: 'sinksIn', sinkageMm: sinkage * 1000 });
  const resistanceKn = compactionResistanceKn(soil, widthM, sinkage);
  const push = thrustKn(soil, { areaM2, lengthM, loadKn });
  const pullKn = push - resistanceKn;
  return success({
    groundPressureKpa: patch.groundPressureKpa,
    sinkageMm: sinkage * 1000,
    resistanceKn,
    thrustKn: push,
    pullKn,
    climbsDeg: (Math.asin(Math.max(-1, Math.min(1, pullKn / loadKn))) * 180) / Math.PI,
  });
}
