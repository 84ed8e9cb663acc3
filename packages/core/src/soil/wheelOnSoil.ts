import { contactPatch } from '../contact/contactPatch';
import type { TireBuild } from '../contact/stiffness';
import { STANDARD_GRAVITY } from '../units/units';
import type { Soil } from './soils';

/** How far the ground is sheared before it answers in full, m, and how much a climbing wheel slips. Handbook values of a wheel on sand. */
export const SHEAR_MODULUS_M = 0.02;
export const CLIMBING_SLIP = 0.2;

/** Width of the strip that a tire presses down, m; assumption, as the reference rig was worked out with. */
const STRIP_M = 0.2;

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

export interface WheelOnSoil {
  readonly groundPressureKpa: number;
  readonly sinkageMm: number;
  readonly resistanceKn: number;
  readonly thrustKn: number;
  readonly pullKn: number;
  /** The slope that the pull just holds, degrees; below zero where it can't move on the level. */
  readonly climbsDeg: number;
}

/**
 * One driven wheel on ground that gives way: how far it sinks, what the rut costs, what it pushes with, and the slope
 * that is left for climbing. Undefined where the tire does not carry its load at this pressure.
 *
 * Only pressing the rut down is counted; pushing up a bow wave, slip sinkage and tread are not. So it tells which of two
 * pressures is better more surely than it tells a slope.
 *
 * @example the reference rig on dry sand at 16 psi climbs about 6°, at 36 psi it can't move on the level
 */
export function wheelOnSoil(
  soil: Soil,
  build: TireBuild,
  loadKg: number,
  pressureKpa: number,
): WheelOnSoil | undefined {
  const patch = contactPatch(build, loadKg, pressureKpa);
  if (!patch) return undefined;
  const loadKn = (loadKg * STANDARD_GRAVITY) / 1000;
  const areaM2 = patch.grossAreaMm2 / 1e6;
  const sinkage = sinkageM(soil, STRIP_M, patch.groundPressureKpa);
  const resistanceKn = compactionResistanceKn(soil, STRIP_M, sinkage);
  const push = thrustKn(soil, { areaM2, lengthM: areaM2 / STRIP_M, loadKn });
  const pullKn = push - resistanceKn;
  return {
    groundPressureKpa: patch.groundPressureKpa,
    sinkageMm: sinkage * 1000,
    resistanceKn,
    thrustKn: push,
    pullKn,
    climbsDeg: (Math.asin(Math.max(-1, Math.min(1, pullKn / loadKn))) * 180) / Math.PI,
  };
}
