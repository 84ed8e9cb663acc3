import type { Budget, Pump } from '../tools/pump';

/**
 * Gas in a kilogram of carbon dioxide at 20 °C and 1 atm, m³, as an ideal gas. Published: NIST gives 1.842 kg/m³, which
 * is half a percent less (from memory); a bottle's gas is never known that closely.
 */
export const CARBON_DIOXIDE_M3_PER_KG = 0.546;

/** One standard atmosphere, kPa. Exact by definition. */
export const ATMOSPHERE_KPA = 101.325;

/** The liters that a budget is worth, of air at 1 atm and 20 °C; Infinity without a budget. */
export const budgetLiters = (budget: Budget): number =>
  budget === null
    ? Number.POSITIVE_INFINITY
    : budget.kind === 'liters'
      ? budget.liters
      : budget.kg * CARBON_DIOXIDE_M3_PER_KG * 1000;

/** What a pump delivers against a pressure, L/min of the air outside. */
export function flowAtLPerMin(flow: Pump['flow'], kpa: number): number {
  let after = 0;
  while (after < flow.length && flow[after]!.pressureKpa <= kpa) after += 1;
  if (after === 0) return flow[0].litersPerMin;
  if (after === flow.length) return flow[after - 1]!.litersPerMin;
  const a = flow[after - 1]!;
  const b = flow[after]!;
  const share = (kpa - a.pressureKpa) / (b.pressureKpa - a.pressureKpa);
  return a.litersPerMin + share * (b.litersPerMin - a.litersPerMin);
}

/** ∫ dp/Q over a straight stretch of a flow curve. Exact. */
const overFlow = (riseKpa: number, fromLPerMin: number, toLPerMin: number): number =>
  Math.abs(toLPerMin - fromLPerMin) < 1e-9 * fromLPerMin
    ? riseKpa / fromLPerMin
    : (riseKpa * Math.log(toLPerMin / fromLPerMin)) / (toLPerMin - fromLPerMin);

/** The next point of a curve above a pressure, no further than the end that is asked for. */
function nextMark(flow: Pump['flow'], kpa: number, endKpa: number): number {
  for (const { pressureKpa } of flow) if (pressureKpa > kpa) return Math.min(pressureKpa, endKpa);
  return endKpa;
}

/**
 * How long a pump runs to fill a tire, s: t = ∫ V dp/(pa·Q(p)). Exact on a curve of straight lines; Infinity where
 * the pump delivers nothing before the target.
 *
 * @param toKpa gauge
 * @example 60 L from 110 to 250 kPa at a level 60 L/min and sea level: 60·140/101.325/60 min = 82.9 s
 */
export function fillSeconds(
  flow: Pump['flow'],
  volumeL: number,
  fromKpa: number,
  toKpa: number,
  outsideKpaAbs: number,
): number {
  if (toKpa <= fromKpa) return 0;
  let sum = 0;
  let at = fromKpa;
  let here = flowAtLPerMin(flow, at);
  // From point to point, so that each stretch has its closed form.
  while (at < toKpa) {
    const next = nextMark(flow, at, toKpa);
    const there = flowAtLPerMin(flow, next);
    if (here <= 0 || there <= 0) return Number.POSITIVE_INFINITY;
    sum += overFlow(next - at, here, there);
    at = next;
    here = there;
  }
  return (60 * volumeL * sum) / outsideKpaAbs;
}

/** The gauge pressure of a tire after a pump ran for so many seconds, kPa: `fillSeconds` turned round. Exact. */
export function pressureAfterSeconds(
  flow: Pump['flow'],
  volumeL: number,
  fromKpa: number,
  seconds: number,
  outsideKpaAbs: number,
): number {
  // In the integral's own measure, kPa over L/min.
  let left = (seconds * outsideKpaAbs) / (60 * volumeL);
  const end = Math.max(fromKpa, flow.at(-1)!.pressureKpa);
  let at = fromKpa;
  while (at < end) {
    const next = nextMark(flow, at, end);
    const [here, there] = [flowAtLPerMin(flow, at), flowAtLPerMin(flow, next)];
    if (here <= 0) return at;
    const whole = there <= 0 ? Number.POSITIVE_INFINITY : overFlow(next - at, here, there);
    if (left < whole) {
      const slope = (there - here) / (next - at);
      return Math.abs(slope) < 1e-12 ? at + left * here : at + (here * Math.expm1(left * slope)) / slope;
    }
    left -= whole;
    at = next;
  }
  return end + left * Math.max(0, flow.at(-1)!.litersPerMin);
}

/** The liters at 1 atm that lift a tire from one pressure to another, at the warmth they are counted at. Exact. */
export const litersToFill = (volumeL: number, fromKpa: number, toKpa: number): number =>
  (volumeL * Math.max(0, toKpa - fromKpa)) / ATMOSPHERE_KPA;
