import { gaussLegendre } from '../numerics/quadrature';
import { CHOKED_FLOW, CRITICAL_RATIO, flowShare, GAMMA } from './orifice';

/*
 * A tire that empties through a hole. The air that is left expands and cools a little, less than it would without the
 * tire about it: p ∝ m^n with an exponent between 1, which keeps its warmth, and 1.4, which takes none in. With a = (n − 1)/2n
 *
 *   dp/dt = −n·p·(p/p0)^a/τ·flowShare(pa/p),   τ = V / conductance
 *
 * While choked that has a closed form; below, with r = pa/p and w² = r^(−2/7) − 1, the integral is of a smooth power of
 * 1 + w². So no step size stands behind a countdown. Each letting out begins with warm air: p0 is where it began.
 */

/** Exponent of the air left in a tire that is let down within a minute or so. Assumption: 1.1 to 1.2. */
export const LETTING_OUT_EXPONENT = 1.1;
const A = (LETTING_OUT_EXPONENT - 1) / (2 * LETTING_OUT_EXPONENT);

/** How fast the air left in a tire takes its warmth back, s. Assumption: the gauge creeps for minutes. */
const REWARMS_S = 90;
/** After so long it has crept nearly all of it, s. Assumption, with the one above. */
export const READ_AGAIN_S = 120;

/** What stands before the integral: the choked flow times √(2γ/(γ − 1)). */
const FADING = CHOKED_FLOW * Math.sqrt((2 * GAMMA) / (GAMMA - 1));
const POWER = 2 - (A * GAMMA) / (GAMMA - 1);

const rootOf = (ratio: number): number => Math.sqrt(Math.max(0, ratio ** ((1 - GAMMA) / GAMMA) - 1));
const ratioOf = (w: number): number => (1 + w * w) ** (GAMMA / (1 - GAMMA));
const slopeAt = (w: number): number => (1 + w * w) ** POWER;

const CHOKED_ROOT = rootOf(CRITICAL_RATIO);
/** The integral from the outside up, without what the pressure outside brings in. */
const faded = (w: number): number => FADING * gaussLegendre(slopeAt, 0, w, 1);
const FADED_WHOLE = faded(CHOKED_ROOT);

/** ∫ dp / (p^(1 + a)·flowShare) from the pressure outside up to this one, times (pa)^a. */
function heightAt(insideKpaAbs: number, outsideKpaAbs: number): number {
  const ratio = outsideKpaAbs / insideKpaAbs;
  if (ratio >= CRITICAL_RATIO) return faded(rootOf(Math.min(ratio, 1)));
  return FADED_WHOLE + (CRITICAL_RATIO ** A - ratio ** A) / A;
}

/**
 * How long a tire takes from one pressure to a lower one, in units of τ = volume / conductance. Exact for the exponent.
 * Zero where it is there already; the outside air can be reached, in a finite time.
 *
 * @param fromKpa gauge, 0 or more, where letting out began
 * @param toKpa gauge, 0 or more
 * @param outsideKpaAbs air outside, as `airPressureKpaAbs` gives it
 * @example drainTau(248.2, 110.3, 101.325) // 0.4614: 36 to 16 psi, choked all the way
 */
export function drainTau(fromKpa: number, toKpa: number, outsideKpaAbs: number): number {
  if (toKpa >= fromKpa) return 0;
  const height = (kpa: number): number => heightAt(kpa + outsideKpaAbs, outsideKpaAbs);
  const from = ((fromKpa + outsideKpaAbs) / outsideKpaAbs) ** A;
  return (from * (height(fromKpa) - height(toKpa))) / LETTING_OUT_EXPONENT;
}

/**
 * The gauge pressure of a tire after so many τ of letting out, kPa: `drainTau` turned round. Exact while choked, to the
 * last binary places below.
 *
 * @example pressureAfterTau(248.2, 0.4614, 101.325) // 110.3
 */
export function pressureAfterTau(fromKpa: number, tau: number, outsideKpaAbs: number): number {
  const insideKpaAbs = fromKpa + outsideKpaAbs;
  const from = (insideKpaAbs / outsideKpaAbs) ** A;
  const left = heightAt(insideKpaAbs, outsideKpaAbs) - (LETTING_OUT_EXPONENT * Math.max(0, tau)) / from;
  if (left <= 0) return 0;
  if (left >= FADED_WHOLE) {
    const ratio = (CRITICAL_RATIO ** A - A * (left - FADED_WHOLE)) ** (1 / A);
    return outsideKpaAbs / ratio - outsideKpaAbs;
  }
  // Newton on an integral that only bends upward: from above it falls onto the root and never past it.
  let w = CHOKED_ROOT;
  for (let round = 0; round < 50; round += 1) {
    const step = (faded(w) - left) / (FADING * slopeAt(w));
    w -= step;
    if (Math.abs(step) < 1e-14) break;
  }
  return outsideKpaAbs / ratioOf(w) - outsideKpaAbs;
}

/** How fast the gauge falls at a pressure where letting out begins, kPa a τ. Exact for the exponent. */
export const fallPerTauKpa = (kpa: number, outsideKpaAbs: number): number =>
  LETTING_OUT_EXPONENT * (kpa + outsideKpaAbs) * flowShare(outsideKpaAbs / (kpa + outsideKpaAbs));

/**
 * How far the gauge creeps back once the valve is shut, kPa: the air that is left takes its warmth from the tire. Letting
 * out slowly leaves less to creep, because most of it has come back meanwhile. Assumption.
 *
 * @param openS how long air went out, s
 * @example creepsBackKpa(248.2, 110.3, 30, 101.325) // 8.4: 1.2 psi from 36 to 16 psi in half a minute
 */
export function creepsBackKpa(fromKpa: number, toKpa: number, openS: number, outsideKpaAbs: number): number {
  if (toKpa >= fromKpa) return 0;
  const [from, to] = [fromKpa + outsideKpaAbs, toKpa + outsideKpaAbs];
  const cooled = to * ((from / to) ** ((LETTING_OUT_EXPONENT - 1) / LETTING_OUT_EXPONENT) - 1);
  const slow = Math.max(openS, 0) / REWARMS_S;
  return slow < 1e-9 ? cooled : (cooled * -Math.expm1(-slow)) / slow;
}
