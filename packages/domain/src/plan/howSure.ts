import type { GaugeRow } from '@dunlinmoss/contract';
import {
  contextsOf,
  gaugeFitness,
  type GroundPlan,
  type MarginInput,
  type PlanInput,
  type Standing,
} from '@dunlinmoss/core';

import { axleOnGauge, gaugeStepKpa, type GaugeUnits } from '../gauge/onGauge';

/** How well a load is known, as a standard deviation over it. Assumptions. */
export const LOAD_SHARE: Record<Standing, number> = { weighed: 0.02, shared: 0.05, estimated: 0.1 };
/** A gauge of which nothing is known, kPa to either side: about 1 psi. Assumption. */
export const UNKNOWN_GAUGE_KPA = 7;
/** How well a hand finds how warm a tire is, °C. Assumption. */
export const TEMP_C = 3;
/** How far a tire may be from the width of its marking, and from one that was measured. Assumptions. */
const WIDTH_SHARE = { marked: 0.02, measured: 0.005 };

export const DRAWS = 20_000;
/** Any would do; the same one gives the same answer every time. */
const SEED = 1789;

/** The most that a gauge may be off where it reads these pressures, kPa; the worst of them. */
export const gaugeErrorKpa = (gauge: GaugeRow | undefined, plan: GroundPlan, units: GaugeUnits): number =>
  gauge === undefined
    ? UNKNOWN_GAUGE_KPA
    : Math.max(...plan.axles.map(({ startKpa }) => gaugeFitness(gauge, startKpa, gaugeStepKpa(units)).errorKpa));

interface Known {
  readonly input: PlanInput;
  readonly plan: GroundPlan;
  readonly standings: readonly Standing[];
  readonly gaugeKpa: number;
  readonly units: GaugeUnits;
}

/** What is drawn for each axle, set to the plan's number as a gauge shows it, tires cold. */
export const marginInputs = ({ input, plan, standings, gaugeKpa, units }: Known): MarginInput[] =>
  contextsOf(input).map((context, index) => ({
    context,
    school: plan.school,
    setKpa: axleOnGauge(plan.axles[index]!, units).startKpa,
    conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
    spreads: {
      loadShare: LOAD_SHARE[standings[index]!],
      gaugeKpa,
      tempC: TEMP_C,
      widthShare: context.axle.widthMm === null ? WIDTH_SHARE.marked : WIDTH_SHARE.measured,
    },
    draws: DRAWS,
    seed: SEED + index,
  }));
