import { axleAt, contextsOf, leastAllowedKmh, type GroundPlan, type PlanInput } from '@dunlinmoss/core';

import { axleOnGauge, type GaugeUnits } from '../gauge/onGauge';

/**
 * A plan with what its axles do at the pressure that is shown, not at the finer one behind it: whoever sets 16 psi and asks
 * What if finds the figures that stood beside the 16.
 *
 * @param plan of that input
 */
export function shownPlan(input: PlanInput, plan: GroundPlan, units: GaugeUnits): GroundPlan {
  const contexts = contextsOf(input);
  const axles = plan.axles.map((axle, index) => ({
    ...axle,
    ...axleAt(contexts[index]!, axle.atRoad, axleOnGauge(axle, units).startKpa),
  }));
  return { ...plan, axles, upToKmh: leastAllowedKmh(axles) };
}
