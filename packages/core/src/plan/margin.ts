import { randomLcg, randomNormal, randomUniform } from 'd3-random';

import type { LoadCurve } from '../capacity/loadCurve';
import { coldKpa, gaugeNowKpa, type TireConditions } from '../atmosphere/gaugeNow';
import { widthOnRimMm } from '../contact/deflection';
import type { OwnFactor } from '../contact/ownTire';
import { bindingCeiling } from '../limits/ceilings';
import { floorsKpa } from '../limits/floors';
import { schoolOf, type SchoolCode } from '../schools/registry';
import type { AxleContext } from '../axle/axleContext';

/** How well each input is known. */
export interface Spreads {
  /** Standard deviation of the wheel load, as a share of it. */
  readonly loadShare: number;
  /** The most a gauge may be off to either side, kPa: its grade times its full scale. */
  readonly gaugeKpa: number;
  /** Standard deviation of how warm the tire is, °C. */
  readonly tempC: number;
  /** Standard deviation of the width, as a share of it. */
  readonly widthShare: number;
  /** What no one knows of a tire before it is measured; all of it as `MODEL_SPREADS` says where it is left out. */
  readonly model?: ModelSpreads;
}

/** How far the model itself may be off: standard deviations, as shares. */
export interface ModelSpreads {
  /** Of the carcass, in its logarithm. What one's own tests gave is taken instead. */
  readonly carcass: number;
  /** Of a bicycle tire's drop, in its logarithm: it is air that carries it, hardly the casing. The same goes for tests. */
  readonly drop: number;
  /** Of the stiffness formula, which was fitted at 150 to 300 kPa. */
  readonly formula: number;
  /** Of the exponent of the load curve, where it does not come from two lines. */
  readonly exponent: number;
  /** Of the pressure at which the tire carries its load, where nobody read it. */
  readonly reference: number;
}

/** Assumptions. */
export const MODEL_SPREADS: ModelSpreads = { carcass: 0.35, drop: 0.1, formula: 0.1, exponent: 0.1, reference: 0.12 };
/** Nine chances in ten, two-sided, of a normal spread. Exact. */
const NINE_IN_TEN = 1.6449;
/** A table holds so much in hand that a pressure this little below it is not below it, as a share. Assumption. */
const IN_HAND = 0.1;

export interface MarginInput {
  readonly context: AxleContext;
  readonly school: SchoolCode | null;
  /** The cold pressure that the axle is set to, by the gauge, kPa. */
  readonly setKpa: number;
  readonly conditions: TireConditions;
  readonly spreads: Spreads;
  readonly draws: number;
  readonly seed: number;
}

export interface Band {
  /** Nine of ten lie between. */
  readonly lowKpa: number;
  readonly middleKpa: number;
  readonly highKpa: number;
}

export interface Margin {
  /** What is truly in the tire, cold. */
  readonly inTire: Band;
  /** What the school would ask for if it knew load and tire, before any limit; null where no school is asked. */
  readonly wanted: Band | null;
  /**
   * Shares of the draws, 0 to 1, in which the true pressure lies past the true limit; below a floor that a table or a
   * model came to, by more than a tenth of it.
   */
  readonly belowFloor: number;
  readonly aboveCeiling: number;
  readonly draws: number;
}

/** Stands for more than any tire takes, kPa, in draws for whose load no pressure suffices. Assumption. */
const MOST_KPA = 2000;
const BAND = { low: 0.05, middle: 0.5, high: 0.95 };
/** Draws between two looks at the clock or at a wish to stop. */
const CHUNK = 1000;

/**
 * The result under uncertain inputs, from seeded draws of load, gauge, temperature, width and of what the model itself
 * does not know: loads, temperatures and widths spread normally, a gauge's error evenly within its grade, a carcass
 * normally in its logarithm. Yields how many draws are done, and returns the band
 * of true outcomes and how often a limit is crossed. The same seed gives the same answer.
 */
export function* marginRun(input: MarginInput): Generator<number, Margin, void> {
  const { context, school, setKpa, conditions, spreads, draws, seed } = input;
  const source = randomLcg(seed);
  const normal = randomNormal.source(source)(0, 1);
  const even = randomUniform.source(source)(-1, 1);
  const shownKpa = gaugeNowKpa(setKpa, conditions);
  const widthMm = widthOnRimMm(context.build);
  const inTire = new Float64Array(draws);
  const wanted = new Float64Array(school === null ? 0 : draws);
  // No ceiling goes by load or width.
  const ceiling = bindingCeiling(context)?.pressureKpa ?? Number.POSITIVE_INFINITY;
  const model = spreads.model ?? MODEL_SPREADS;
  const { own } = context.axle;
  const carcassSpread = logSpread(own?.carcass) ?? model.carcass;
  const dropSpread = logSpread(own?.drop) ?? model.drop;
  const drawCurve = curveDraws(context.axle.curve, model);
  const ask = school === null ? undefined : schoolOf(school);
  // One axle and one tire that are changed from draw to draw: twenty thousand of each would be swept up meanwhile.
  const tire = { ...context.build.tire };
  const build = { ...context.build, tire, widthMm, formulaFactor: 1 };
  const axle = { ...context.axle };
  const other: { -readonly [Key in keyof AxleContext]: AxleContext[Key] } = { ...context, build, axle };
  let below = 0;
  let above = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const heavier = Math.max(0.05, 1 + spreads.loadShare * normal());
    const wider = Math.max(0.5, 1 + spreads.widthShare * normal());
    const trueKpa = coldKpa(shownKpa + spreads.gaugeKpa * even(), {
      ...conditions,
      tireTempC: conditions.tireTempC + spreads.tempC * normal(),
    });
    other.wheelLoadKg = context.wheelLoadKg * heavier;
    other.heaviestWheelKg = context.heaviestWheelKg * heavier;
    other.totalKg = context.totalKg * heavier;
    tire.sectionWidthMm = context.build.tire.sectionWidthMm * wider;
    build.widthMm = widthMm * wider;
    build.carcass = context.build.carcass * Math.exp(carcassSpread * normal());
    build.dropFactor = (context.build.dropFactor ?? 1) * Math.exp(dropSpread * normal());
    build.formulaFactor = Math.max(0.2, 1 + model.formula * normal());
    axle.curve = drawCurve(normal);
    inTire[draw] = trueKpa;
    const { letsGoKpa, byTableKpa } = floorsKpa(other);
    if (trueKpa < letsGoKpa || trueKpa < byTableKpa * (1 - IN_HAND)) below += 1;
    if (trueKpa > ceiling) above += 1;
    if (ask) {
      const asked = ask.targetKpa(other, 'start');
      const kpa = typeof asked === 'number' ? Math.max(0, asked) : Math.max(letsGoKpa, byTableKpa);
      wanted[draw] = Math.min(kpa, MOST_KPA);
    }
    if (draw % CHUNK === CHUNK - 1) yield draw + 1;
  }
  return {
    inTire: bandOf(inTire),
    wanted: school === null ? null : bandOf(wanted),
    belowFloor: below / draws,
    aboveCeiling: above / draws,
    draws,
  };
}

/** What one's own tests leave of a spread, in the logarithm; null without any. */
const logSpread = (factor: OwnFactor | undefined): number | null =>
  factor && factor.readings > 0 ? Math.log(factor.high / factor.low) / (2 * NINE_IN_TEN) : null;

/** Draws of a load curve: what was read on the tire stands, what was assumed of it is drawn. */
function curveDraws(curve: LoadCurve | null, model: ModelSpreads): (normal: () => number) => LoadCurve | null {
  if (!curve || curve.from === 'rows' || (curve.from === 'lines' && curve.points.length > 1)) return () => curve;
  const reference = curve.from === 'index' ? model.reference : 0;
  return (normal) => {
    const exponent = Math.max(0.3, curve.exponent * (1 + model.exponent * normal()));
    const [{ pressureKpa, loadKg }] = curve.points;
    const points = [{ pressureKpa: pressureKpa * Math.exp(reference * normal()), loadKg }] as const;
    return { ...curve, exponent, points } as LoadCurve;
  };
}

function bandOf(values: Float64Array): Band {
  values.sort();
  const at = (share: number): number => values[Math.min(values.length - 1, Math.floor(share * values.length))]!;
  return { lowKpa: at(BAND.low), middleKpa: at(BAND.middle), highKpa: at(BAND.high) };
}

/** The same in one go. */
export function margin(input: MarginInput): Margin {
  const run = marginRun(input);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
