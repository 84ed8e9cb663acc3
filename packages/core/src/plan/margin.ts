import { randomLcg, randomNormal, randomUniform } from 'd3-random';

import { coldKpa, gaugeNowKpa, type TireConditions } from '../atmosphere/gaugeNow';
import { widthOnRimMm } from '../contact/deflection';
import { bindingCeiling } from '../limits/ceilings';
import { lowestAllowedKpa } from '../limits/floors';
import { schoolOf, type SchoolCode } from '../schools/registry';
import type { AxleContext } from './axleContext';

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
}

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
  /** What the school would ask for if it knew load and width; null where no school is asked. */
  readonly wanted: Band | null;
  /** Shares of the draws, 0 to 1, in which the true pressure lies past the true limit. */
  readonly belowFloor: number;
  readonly aboveCeiling: number;
  readonly draws: number;
}

const BAND = { low: 0.05, middle: 0.5, high: 0.95 };
/** Draws between two looks at the clock or at a wish to stop. */
const CHUNK = 1000;

/**
 * The result under uncertain inputs, from seeded draws of load, gauge, temperature and width: loads, temperatures and
 * widths spread normally, a gauge's error evenly within its grade. Yields how many draws are done, and returns the band
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
  const ask = school === null ? undefined : schoolOf(school);
  // One axle and one tire that are changed from draw to draw: twenty thousand of each would be swept up meanwhile.
  const tire = { ...context.build.tire };
  const build = { ...context.build, tire, widthMm };
  const other: { -readonly [Key in keyof AxleContext]: AxleContext[Key] } = { ...context, build };
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
    tire.sectionWidthMm = context.build.tire.sectionWidthMm * wider;
    build.widthMm = widthMm * wider;
    inTire[draw] = trueKpa;
    const floor = lowestAllowedKpa(other);
    if (trueKpa < floor) below += 1;
    if (trueKpa > ceiling) above += 1;
    if (ask) {
      const asked = ask.wants(other, 'start');
      wanted[draw] = typeof asked === 'number' ? Math.min(Math.max(asked, floor), Math.max(ceiling, floor)) : floor;
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
