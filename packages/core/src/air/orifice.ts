import { CELSIUS_ZERO_K } from '../units/units';

/** Heat capacity ratio of dry air. Exact enough for a field tool; the closed forms below are made for just this value. */
export const GAMMA = 1.4;

/** Specific gas constant of dry air, J/(kg K). Published: ICAO / ISO 2533 standard atmosphere (from memory). */
export const R_AIR = 287.053;

/**
 * Outside over inside absolute pressure below which a flow through a hole is choked: the outside has no say in it.
 * Exact: (2/(γ + 1))^(γ/(γ − 1)) = 0.5283.
 */
export const CRITICAL_RATIO = (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1));

/** Mass flow while choked, over A·p/√(R·T). Exact: √γ·(2/(γ + 1))^((γ + 1)/(2(γ − 1))) = 0.6847. */
export const CHOKED_FLOW = Math.sqrt(GAMMA) * (2 / (GAMMA + 1)) ** ((GAMMA + 1) / (2 * (GAMMA - 1)));

/**
 * The flow through a hole as a share of the choked one, 0 to 1. Exact: isentropic flow of a perfect gas.
 *
 * @param ratio outside over inside absolute pressure; 1 and more flows nothing
 * @example flowShare(0.5) // 1: choked; flowShare(1) // 0
 */
export function flowShare(ratio: number): number {
  if (ratio <= CRITICAL_RATIO) return 1;
  if (ratio >= 1) return 0;
  const speed = ((2 * GAMMA) / (GAMMA - 1)) * (1 - ratio ** ((GAMMA - 1) / GAMMA));
  return (ratio ** (1 / GAMMA) * Math.sqrt(speed)) / CHOKED_FLOW;
}

/** A hole, and the air before and behind it. Absolute pressures. */
export interface OrificeFlow {
  readonly areaMm2: number;
  readonly insideKpaAbs: number;
  readonly outsideKpaAbs: number;
  readonly tempC: number;
  /** What the jet leaves of the hole, 0 to 1; 1 for a rounded nozzle. */
  readonly dischargeCoefficient: number;
}

/**
 * Mass flow through a hole, kg/s.
 *
 * @example a quarter-inch nozzle, 100 psi over sea level, 21 °C: 0.0588 kg/s, or 104 cubic feet of free air a minute
 */
export function massFlowKgPerS(flow: OrificeFlow): number {
  const { areaMm2, insideKpaAbs, outsideKpaAbs, tempC, dischargeCoefficient } = flow;
  const choked = (CHOKED_FLOW * areaMm2 * 1e-6 * insideKpaAbs * 1000) / Math.sqrt(R_AIR * (tempC + CELSIUS_ZERO_K));
  return dischargeCoefficient * choked * flowShare(outsideKpaAbs / insideKpaAbs);
}

/**
 * What a hole lets through while choked, as liters of the air inside it a second: a tire of V liters falls by 1/e in
 * V/conductance seconds, whatever its pressure.
 *
 * @example a 3 mm hole with a coefficient of 0.8 at 20 °C: 1.12 L/s
 */
export const conductanceLPerS = (areaMm2: number, dischargeCoefficient: number, tempC: number): number =>
  dischargeCoefficient * areaMm2 * 1e-6 * CHOKED_FLOW * Math.sqrt(R_AIR * (tempC + CELSIUS_ZERO_K)) * 1000;
