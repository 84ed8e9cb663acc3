import { CHOKED_FLOW, CRITICAL_RATIO, flowShare, GAMMA } from './orifice';

/*
 * A tire that empties through a hole while its air keeps its temperature:
 *
 *   dp/dt = −p/τ·flowShare(pa/p),   τ = V / conductance
 *
 * While choked p falls as e^(−t/τ). Below that, with r = pa/p and w² = r^(−2/7) − 1, the integral of dp/(p·flowShare)
 * is a polynomial in w. So time is exact in both directions, and no step size stands behind a countdown.
 */

/** What stands before the polynomial: the choked flow times √(2γ/(γ − 1)). */
const FADING = CHOKED_FLOW * Math.sqrt((2 * GAMMA) / (GAMMA - 1));

const polynomial = (w: number): number => w + (2 / 3) * w ** 3 + w ** 5 / 5;
const rootOf = (ratio: number): number => Math.sqrt(Math.max(0, ratio ** ((1 - GAMMA) / GAMMA) - 1));
const ratioOf = (w: number): number => (1 + w * w) ** (GAMMA / (1 - GAMMA));

const CHOKED_ROOT = rootOf(CRITICAL_RATIO);
const FADING_WHOLE = FADING * polynomial(CHOKED_ROOT);

/** How much of its time a tire at this pressure still has before it is flat, in units of τ. */
function leftTau(insideKpaAbs: number, outsideKpaAbs: number): number {
  const ratio = outsideKpaAbs / insideKpaAbs;
  return ratio >= CRITICAL_RATIO
    ? FADING * polynomial(rootOf(Math.min(ratio, 1)))
    : FADING_WHOLE + Math.log(CRITICAL_RATIO / ratio);
}

/**
 * How long a tire takes from one pressure to a lower one, in units of τ = volume / conductance. Exact.
 * Zero where it is there already; the outside air can be reached, in a finite time.
 *
 * @param fromKpa gauge, 0 or more
 * @param toKpa gauge, 0 or more
 * @param outsideKpaAbs air outside, as `airPressureKpaAbs` gives it
 * @example drainTau(248.2, 110.3, 101.325) // 0.5022: 36 to 16 psi, choked all the way, ln(349.5/211.6)
 */
export const drainTau = (fromKpa: number, toKpa: number, outsideKpaAbs: number): number =>
  toKpa >= fromKpa
    ? 0
    : leftTau(fromKpa + outsideKpaAbs, outsideKpaAbs) - leftTau(toKpa + outsideKpaAbs, outsideKpaAbs);

/**
 * The gauge pressure of a tire after so many τ of letting out, kPa: `drainTau` turned round. Exact while choked, to the
 * last binary places below.
 *
 * @example pressureAfterTau(248.2, 0.5022, 101.325) // 110.3
 */
export function pressureAfterTau(fromKpa: number, tau: number, outsideKpaAbs: number): number {
  const left = leftTau(fromKpa + outsideKpaAbs, outsideKpaAbs) - Math.max(0, tau);
  if (left <= 0) return 0;
  if (left >= FADING_WHOLE) {
    return (outsideKpaAbs / CRITICAL_RATIO) * Math.exp(left - FADING_WHOLE) - outsideKpaAbs;
  }
  // Newton on a polynomial that only bends upward: from above it falls onto the root and never past it.
  let w = CHOKED_ROOT;
  for (let round = 0; round < 50; round += 1) {
    const step = (FADING * polynomial(w) - left) / (FADING * (1 + w * w) ** 2);
    w -= step;
    if (Math.abs(step) < 1e-14) break;
  }
  return outsideKpaAbs / ratioOf(w) - outsideKpaAbs;
}

/** How fast the gauge falls at a pressure, kPa a τ. Exact. */
export const fallPerTauKpa = (kpa: number, outsideKpaAbs: number): number =>
  (kpa + outsideKpaAbs) * flowShare(outsideKpaAbs / (kpa + outsideKpaAbs));
