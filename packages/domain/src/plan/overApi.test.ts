import type { RigRow } from '@dunlinmoss/contract';
import { CALCULATORS } from '@dunlinmoss/contract/api';
import { familyOf, groundsFor, planGround, type PlanInput } from '@dunlinmoss/core';

import { SAMPLE_RIGS } from '../testing/sampleRig';
import { planInput } from './planInput';

const groundPlan = CALCULATORS.find(({ name }) => name === 'ground-plan')!;

/** A question as it is put to the API. */
function overApi(rig: RigRow, { proved: _, axles, ...rest }: PlanInput) {
  const asked = {
    ...rest,
    axles: axles.map(({ tire: _tire, curve: _curve, rimTries: _tries, ...axle }, index) => {
      const { tireMarking, lines, rows, rowsOf } = rig.axles[index]!;
      return { ...axle, tireMarking, lines, rows, rowsOf };
    }),
  };
  return groundPlan.run(groundPlan.input.parse(JSON.parse(JSON.stringify(asked))) as never) as {
    readonly value?: { readonly axles: readonly { readonly startKpa: number }[] };
  };
}

const RIGS: readonly (readonly [string, RigRow])[] = Object.entries(SAMPLE_RIGS).flatMap(([kind, rig]) => [
  [kind, rig] as const,
  [`${kind}, not weighed`, { ...rig, loadCases: [], loadCaseId: null }] as const,
]);

describe.each(RIGS)('a plan of a %s over the API', (_, rig) => {
  it.each(groundsFor(familyOf(rig.family)))('has on %s the figures of the plan', (ground) => {
    const input = planInput(rig, [], { ground, modifiers: [], speedKmh: null });
    const plan = input.ok ? planGround(input.value) : input;
    if (!input.ok || !plan.ok) throw new Error(ground);
    expect(overApi(rig, input.value).value?.axles.map(({ startKpa }) => startKpa)).toEqual(
      plan.value.axles.map(({ startKpa }) => startKpa),
    );
  });
});
