import { failure, success, type Result } from '../result/result';
import { assumption, exact, marked, type Source } from '../sources/source';
import { loadIndexKg } from '../tires/loadIndex';
import type { Tire } from '../tires/tire';
import { dualFactor } from './duals';
import { FAMILY_EXPONENT_SOURCE, familyExponent } from './familyExponent';
import { farmSpeedRatio, type FarmDuty } from './farmSpeed';
import { flexionLoadKg } from './flexion';
import { referencePressureKpa } from './referencePressure';
import { speedFactor, topSpeedKmh, type SpeedFactor } from './speedFactor';

/** A "max load at pressure" line of a sidewall. */
export interface LoadLine {
  readonly pressureKpa: number;
  readonly loadKg: number;
}

/** A row of a tire's data sheet: what it carries at a pressure and a speed. */
export interface LoadRow extends LoadLine {
  readonly speedKmh: number;
}

/** All that is known of what a tire carries. */
export interface LoadEvidence {
  readonly tire: Tire;
  /** The highest pressure that the sidewall allows, where it was read. */
  readonly maxKpa: number | null;
  readonly lines: readonly LoadLine[];
  readonly rows: readonly LoadRow[];
  /** An IF or VF tire's rows may be those of the standard tire of its size. */
  readonly rowsOf: 'thisTire' | 'standardTire';
}

/** What a tire carries over pressure, from the best evidence at hand. */
export type LoadCurve =
  | {
      readonly from: 'rows';
      readonly tire: Tire;
      /** Slowest first; each with its points, softest first. */
      readonly speeds: readonly { readonly speedKmh: number; readonly points: readonly LoadLine[] }[];
      readonly source: Source;
    }
  | {
      readonly from: 'lines' | 'index';
      readonly tire: Tire;
      /** Softest first; with one point alone, the exponent makes the curve. */
      readonly points: readonly [LoadLine, ...LoadLine[]];
      /** L ∝ pⁿ below the first point. */
      readonly exponent: number;
      readonly exponentSource: Source;
      readonly referenceSource: Source;
    }
  | {
      /** Nothing but the pressure that it is driven with on the road: other loads and speeds follow by ratio. */
      readonly from: 'road';
      readonly tire: Tire;
      /** Road pressure with the load that it is for. */
      readonly points: readonly [LoadLine];
      readonly roadSpeedKmh: number;
      readonly exponent: number;
      readonly exponentSource: Source;
      readonly referenceSource: Source;
    };

/** Curves that go by a power of the pressure. */
type PowerCurve = Exclude<LoadCurve, { from: 'rows' }>;

export type CurveProblem =
  /** Neither rows nor lines nor a load index. */
  | { readonly code: 'nothingKnown' }
  /** A load index, and nothing that tells at which pressure the tire carries it. */
  | { readonly code: 'pressureMissing' }
  /** More pressure carries more: these two lines say otherwise. */
  | { readonly code: 'linesContradict'; readonly softer: LoadLine; readonly firmer: LoadLine };

const softestFirst = <Line extends LoadLine>(lines: readonly Line[]): Line[] =>
  [...lines].sort((a, b) => a.pressureKpa - b.pressureKpa);

function contradiction(points: readonly LoadLine[]): CurveProblem | null {
  for (let index = 1; index < points.length; index += 1) {
    const [softer, firmer] = [points[index - 1]!, points[index]!];
    if (firmer.pressureKpa <= softer.pressureKpa || firmer.loadKg <= softer.loadKg) {
      return { code: 'linesContradict', softer, firmer };
    }
  }
  return null;
}

/**
 * The load-inflation curve of a tire: rows of its own data sheet, else the "max load at pressure" lines of its
 * sidewall, else its load index with the exponent of its kind.
 *
 * L(p) = L_ref·(p/p_ref)ⁿ; between two lines n comes from them: 1015 lb at 18 psi and 1694 lb at 44 give 0.573.
 */
export function loadCurve({ tire, maxKpa, lines, rows, rowsOf }: LoadEvidence): Result<LoadCurve, CurveProblem> {
  if (rows.length > 0) return curveOfRows(tire, rows, rowsOf);
  if (lines.length > 0) {
    const points = softestFirst(lines) as [LoadLine, ...LoadLine[]];
    const problem = contradiction(points);
    if (problem) return failure(problem);
    const two = points.length > 1;
    return success({
      from: 'lines',
      tire,
      points,
      exponent: two ? slopeBetween(points[0], points[1]!) : familyExponent(tire),
      exponentSource: two ? exact : FAMILY_EXPONENT_SOURCE,
      referenceSource: marked,
    });
  }
  if (!tire.service) return failure({ code: 'nothingKnown' });
  const reference = referencePressureKpa(tire, maxKpa);
  if (!reference) return failure({ code: 'pressureMissing' });
  return success({
    from: 'index',
    tire,
    points: [{ pressureKpa: reference.pressureKpa, loadKg: loadIndexKg(tire.service.loadIndex)! }],
    exponent: familyExponent(tire),
    exponentSource: FAMILY_EXPONENT_SOURCE,
    referenceSource: reference.source,
  });
}

/**
 * The pressure of the road as evidence: what a farm tire is driven with there carries what stands on it there, and other
 * loads and speeds follow by ratio, p = p_road·((L/f)/(L_road/f_road))^(1/n). Assumption.
 *
 * @param roadLoadKg on one tire, when it is driven with that pressure
 */
export const curveOfRoad = (tire: Tire, roadKpa: number, roadLoadKg: number, roadSpeedKmh: number): LoadCurve => ({
  from: 'road',
  tire,
  points: [{ pressureKpa: roadKpa, loadKg: roadLoadKg }],
  roadSpeedKmh,
  exponent: familyExponent(tire),
  exponentSource: FAMILY_EXPONENT_SOURCE,
  referenceSource: assumption,
});

/** The pressure that a curve hangs on was guessed: it must set no speed, and never ask for more than the road pressure. */
export const isAssumed = (curve: LoadCurve): boolean =>
  curve.from === 'index' && curve.referenceSource.mark === 'assumption';

function curveOfRows(
  tire: Tire,
  rows: readonly LoadRow[],
  rowsOf: LoadEvidence['rowsOf'],
): Result<LoadCurve, CurveProblem> {
  const { flexion } = tire;
  const lifted = (loadKg: number): number =>
    rowsOf === 'standardTire' && flexion ? flexionLoadKg(loadKg, flexion) : loadKg;
  const speeds = [...new Set(rows.map(({ speedKmh }) => speedKmh))]
    .sort((a, b) => a - b)
    .map((speedKmh) => ({
      speedKmh,
      points: softestFirst(
        rows
          .filter((row) => row.speedKmh === speedKmh)
          .map(({ pressureKpa, loadKg }) => ({ pressureKpa, loadKg: lifted(loadKg) })),
      ),
    }));
  const problem = speeds.map(({ points }) => contradiction(points)).find(Boolean);
  return problem ? failure(problem) : success({ from: 'rows', tire, speeds, source: marked });
}

const slopeBetween = (softer: LoadLine, firmer: LoadLine): number =>
  Math.log(firmer.loadKg / softer.loadKg) / Math.log(firmer.pressureKpa / softer.pressureKpa);

export interface CarryingConditions extends FarmDuty {
  readonly pressureKpa: number;
  /** Null asks at the speed the rating itself is for. */
  readonly speedKmh: number | null;
  readonly dual?: boolean;
  /** Which end of the bonus for being slow, where only the road pressure is known. `soft` promises more. */
  readonly end?: 'firm' | 'soft';
}

/** The speed at which a row of a data sheet holds while pulling hard for long, km/h: there is no bonus for being slower. */
const TORQUE_KMH = 40;

/** What a curve is taken times at a speed; null where that is too fast for the tire. */
export function factorAt(
  curve: PowerCurve,
  { speedKmh, highTorque = false, rolling = false, end = 'soft' }: Omit<CarryingConditions, 'pressureKpa'>,
): SpeedFactor | null {
  if (curve.from !== 'road') return speedFactor(curve.tire, speedKmh, { highTorque, rolling });
  const toKmh = speedKmh ?? curve.roadSpeedKmh;
  return { factor: farmSpeedRatio(curve.roadSpeedKmh, toKmh, end, { highTorque, rolling }), source: assumption };
}

/** A pair carries less than two alone; a road pressure was driven with on the pair itself. */
const pairsOn = (curve: LoadCurve, dual: boolean | undefined): number =>
  dual && curve.from !== 'road' ? dualFactor(curve.tire).factor : 1;

/** What one tire carries, or why that can't be said. */
export type Capacity =
  | {
      readonly ok: true;
      readonly loadKg: number;
      /** Below the softest line known: carried on by the exponent alone. */
      readonly extrapolated: boolean;
    }
  | { readonly ok: false; readonly code: 'belowFirstRow'; readonly firstKpa: number }
  | { readonly ok: false; readonly code: 'tooFast'; readonly topKmh: number };

/**
 * The load that one tire carries at a pressure and speed, kg. Above its last line a tire carries no more. Below the
 * first row of a data sheet there is no answer; below the first line of a sidewall the answer says that it is carried
 * on.
 */
export function capacity(curve: LoadCurve, conditions: CarryingConditions): Capacity {
  const pairs = pairsOn(curve, conditions.dual);
  if (curve.from === 'rows') {
    const carried = ofRows(curve.speeds, conditions);
    return carried.ok ? { ...carried, loadKg: carried.loadKg * pairs } : carried;
  }
  const bySpeed = factorAt(curve, conditions);
  if (!bySpeed) {
    return { ok: false, code: 'tooFast', topKmh: topSpeedKmh(curve.tire)! };
  }
  const { points, exponent } = curve;
  const [first] = points;
  const extrapolated = conditions.pressureKpa < first.pressureKpa * (1 - 1e-9);
  const carried =
    curve.from === 'road'
      ? first.loadKg * (Math.max(conditions.pressureKpa, 0) / first.pressureKpa) ** exponent
      : alongPoints(points, exponent, conditions.pressureKpa);
  const loadKg = carried * bySpeed.factor * pairs;
  return { ok: true, loadKg, extrapolated };
}

function alongPoints(points: readonly LoadLine[], exponentBelow: number, pressureKpa: number): number {
  const last = points.at(-1)!;
  if (pressureKpa >= last.pressureKpa) return last.loadKg;
  const above = points.findIndex((point) => point.pressureKpa > pressureKpa);
  const from = points[Math.max(above - 1, 0)]!;
  const exponent = above === 0 ? exponentBelow : slopeBetween(from, points[above]!);
  return from.loadKg * (Math.max(pressureKpa, 0) / from.pressureKpa) ** exponent;
}

function ofRows(
  speeds: Extract<LoadCurve, { from: 'rows' }>['speeds'],
  { pressureKpa, speedKmh, highTorque }: CarryingConditions,
): Capacity {
  const fastest = speeds.at(-1)!;
  const asked = speedKmh ?? fastest.speedKmh;
  const wanted = highTorque ? Math.max(asked, Math.min(TORQUE_KMH, fastest.speedKmh)) : asked;
  if (wanted > fastest.speedKmh) return { ok: false, code: 'tooFast', topKmh: fastest.speedKmh };
  const upper = speeds.findIndex(({ speedKmh: kmh }) => kmh >= wanted);
  // Slower than the slowest column is no reason to carry more than it says.
  const lower = speeds[upper]!.speedKmh === wanted ? upper : Math.max(upper - 1, 0);
  const [slow, fast] = [speeds[lower]!, speeds[upper]!];
  const firstKpa = Math.max(slow.points[0]!.pressureKpa, fast.points[0]!.pressureKpa);
  if (pressureKpa < firstKpa * (1 - 1e-9)) return { ok: false, code: 'belowFirstRow', firstKpa };
  const [more, less] = [straight(slow.points, pressureKpa), straight(fast.points, pressureKpa)];
  const share = lower === upper ? 1 : (wanted - slow.speedKmh) / (fast.speedKmh - slow.speedKmh);
  return { ok: true, loadKg: more + (less - more) * share, extrapolated: false };
}

/** Straight lines between the rows, level above the last. */
function straight(points: readonly LoadLine[], pressureKpa: number): number {
  const above = points.findIndex((point) => point.pressureKpa > pressureKpa);
  if (above === -1) return points.at(-1)!.loadKg;
  if (above === 0) return points[0]!.loadKg;
  const [softer, firmer] = [points[above - 1]!, points[above]!];
  const share = (pressureKpa - softer.pressureKpa) / (firmer.pressureKpa - softer.pressureKpa);
  return softer.loadKg + (firmer.loadKg - softer.loadKg) * share;
}

/** The pressure above which a curve promises no more, kPa; infinite where only the road pressure is known. */
export const fullPressureKpa = (curve: LoadCurve): number =>
  curve.from === 'road'
    ? Number.POSITIVE_INFINITY
    : curve.from === 'rows'
      ? Math.max(...curve.speeds.map(({ points }) => points.at(-1)!.pressureKpa))
      : curve.points.at(-1)!.pressureKpa;

/**
 * The lowest pressure at which a tire carries a load, kPa: `capacity` turned round. Null where no pressure does at
 * this speed.
 *
 * @example the LT245/75R16 of the yearbook (2205 lb at 50 psi, 3042 at 80) under 1000 kg: 50 psi
 */
export function pressureForLoadKpa(
  curve: LoadCurve,
  loadKg: number,
  conditions: Omit<CarryingConditions, 'pressureKpa'>,
): number | null {
  return curve.from === 'rows' ? pressureOnRows(curve, loadKg, conditions) : pressureOnLines(curve, loadKg, conditions);
}

function pressureOnLines(
  curve: PowerCurve,
  loadKg: number,
  conditions: Omit<CarryingConditions, 'pressureKpa'>,
): number | null {
  const { points, exponent } = curve;
  const bySpeed = factorAt(curve, conditions);
  if (!bySpeed) return null;
  const ratedKg = loadKg / (bySpeed.factor * pairsOn(curve, conditions.dual));
  if (curve.from === 'road') return points[0].pressureKpa * (ratedKg / points[0].loadKg) ** (1 / exponent);
  const above = points.findIndex((point) => point.loadKg >= ratedKg);
  if (above === -1) return ratedKg <= points.at(-1)!.loadKg * (1 + ROUNDING) ? points.at(-1)!.pressureKpa : null;
  const from = points[Math.max(above - 1, 0)]!;
  const slope = above === 0 ? exponent : slopeBetween(from, points[above]!);
  return from.pressureKpa * (ratedKg / from.loadKg) ** (1 / slope);
}

/** Between two neighbouring pressures of a data sheet all goes in a straight line, whatever the speed. */
function pressureOnRows(
  curve: Extract<LoadCurve, { from: 'rows' }>,
  loadKg: number,
  conditions: Omit<CarryingConditions, 'pressureKpa'>,
): number | null {
  let softer: LoadLine | undefined;
  for (const pressureKpa of sheetPressuresKpa(curve)) {
    const carried = capacity(curve, { ...conditions, pressureKpa });
    if (!carried.ok) continue;
    const firmer = { pressureKpa, loadKg: carried.loadKg };
    if (firmer.loadKg >= loadKg * (1 - ROUNDING)) {
      if (!softer) return pressureKpa;
      const share = (loadKg - softer.loadKg) / (firmer.loadKg - softer.loadKg);
      return softer.pressureKpa + (pressureKpa - softer.pressureKpa) * Math.min(1, share);
    }
    softer = firmer;
  }
  return null;
}

/** A load that is just carried must not be refused for its last binary place. */
const ROUNDING = 1e-12;

/** Every pressure that a data sheet speaks of, softest first, kPa. */
export const sheetPressuresKpa = ({ speeds }: Extract<LoadCurve, { from: 'rows' }>): number[] =>
  [...new Set(speeds.flatMap(({ points }) => points.map(({ pressureKpa }) => pressureKpa)))].sort((a, b) => a - b);
