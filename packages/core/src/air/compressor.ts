/** What a pump delivers against a pressure: liters of the air outside, a minute. */
export interface FlowPoint {
  readonly pressureKpa: number;
  readonly litersPerMin: number;
}

/** What there is of the air, where it ends: a charge of so many liters, or gas from a bottle. */
export type Budget =
  { readonly kind: 'liters'; readonly liters: number } | { readonly kind: 'gas'; readonly kg: number } | null;

export interface Pump {
  /** By pressure, from 0 up. Straight lines between; level before the first; nothing above the last but its last. */
  readonly flow: readonly [FlowPoint, ...FlowPoint[]];
  /** Minutes it may run before it must rest, and how long; null runs for as long as one likes. */
  readonly duty: { readonly onMin: number; readonly restMin: number } | null;
  readonly budget: Budget;
}

/**
 * Gas in a kilogram of carbon dioxide at 20 °C and 1 atm, m³, as an ideal gas. Published: NIST gives 1.842 kg/m³, which
 * is half a percent less (from memory); the gas of a bottle is never told that finely.
 */
export const CARBON_DIOXIDE_M3_PER_KG = 0.546;

/** One standard atmosphere, kPa. Exact by definition. */
export const ATMOSPHERE_KPA = 101.325;

/** The liters that a budget is worth, of air at 1 atm and 20 °C; without end where there is none. */
export const budgetLiters = (budget: Budget): number =>
  budget === null
    ? Number.POSITIVE_INFINITY
    : budget.kind === 'liters'
      ? budget.liters
      : budget.kg * CARBON_DIOXIDE_M3_PER_KG * 1000;

/** What a pump delivers against a pressure, L/min of the air outside. */
export function flowAtLPerMin(flow: Pump['flow'], kpa: number): number {
  const after = flow.findIndex(({ pressureKpa }) => pressureKpa > kpa);
  if (after === 0) return flow[0].litersPerMin;
  if (after === -1) return flow.at(-1)!.litersPerMin;
  const [a, b] = [flow[after - 1]!, flow[after]!];
  const share = (kpa - a.pressureKpa) / (b.pressureKpa - a.pressureKpa);
  return a.litersPerMin + share * (b.litersPerMin - a.litersPerMin);
}

/** One stretch of a flow curve: from a pressure to the next, in a straight line. */
interface Stretch {
  readonly fromKpa: number;
  readonly toKpa: number;
  readonly fromLPerMin: number;
  readonly toLPerMin: number;
}

/** Curves are walked from point to point, so that each stretch has its closed form. */
function* stretches(flow: Pump['flow'], fromKpa: number, toKpa: number): Generator<Stretch> {
  const marks = [fromKpa, ...flow.map(({ pressureKpa }) => pressureKpa).filter((p) => p > fromKpa && p < toKpa), toKpa];
  for (let index = 1; index < marks.length; index += 1) {
    const [a, b] = [marks[index - 1]!, marks[index]!];
    yield { fromKpa: a, toKpa: b, fromLPerMin: flowAtLPerMin(flow, a), toLPerMin: flowAtLPerMin(flow, b) };
  }
}

/** ∫ dp/Q over a straight stretch. Exact. */
const overFlow = ({ fromKpa, toKpa, fromLPerMin: a, toLPerMin: b }: Stretch): number =>
  Math.abs(b - a) < 1e-9 * a ? (toKpa - fromKpa) / a : ((toKpa - fromKpa) * Math.log(b / a)) / (b - a);

/**
 * How long a pump runs to fill a tire, s: t = ∫ V dp/(pa·Q(p)). Exact on a curve of straight lines; without end where
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
  for (const stretch of stretches(flow, fromKpa, toKpa)) {
    if (stretch.toLPerMin <= 0 || stretch.fromLPerMin <= 0) return Number.POSITIVE_INFINITY;
    sum += overFlow(stretch);
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
  for (const stretch of stretches(flow, fromKpa, end)) {
    if (stretch.fromLPerMin <= 0) return stretch.fromKpa;
    const whole = stretch.toLPerMin <= 0 ? Number.POSITIVE_INFINITY : overFlow(stretch);
    if (left < whole) {
      const slope = (stretch.toLPerMin - stretch.fromLPerMin) / (stretch.toKpa - stretch.fromKpa);
      return Math.abs(slope) < 1e-12
        ? stretch.fromKpa + left * stretch.fromLPerMin
        : stretch.fromKpa + (stretch.fromLPerMin * Math.expm1(left * slope)) / slope;
    }
    left -= whole;
  }
  return end + left * Math.max(0, flow.at(-1)!.litersPerMin);
}

/** The liters at 1 atm that lift a tire from one pressure to another, at the warmth they are counted at. Exact. */
export const litersToFill = (volumeL: number, fromKpa: number, toKpa: number): number =>
  (volumeL * Math.max(0, toKpa - fromKpa)) / ATMOSPHERE_KPA;
