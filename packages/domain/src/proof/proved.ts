import { loadCaseOf, rigLoads, type OutingRow, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import { familyOf, nextTime, type AxlePosition, type GroundCode, type NextTime, type Proved } from '@dunlinmoss/core';

import { judgementOf } from '../evidence/evidence';

/** The heaviest wheel of an axle in a load case, kg; undefined where nobody knows it. */
function axleWheelKg(rig: RigRow, position: AxlePosition, loadCaseId: string | null): number | undefined {
  const loadCase = loadCaseOf(rig, loadCaseId);
  const loads = loadCase && rigLoads(rig, loadCase);
  const axle = loads?.ok ? loads.value.axles[rig.axles.findIndex((each) => each.position === position)] : undefined;
  return axle && Math.max(...axle.wheels.map(({ loadKg }) => loadKg));
}

/** Every pressure of an axle that was proved on a ground: set on an outing and decided on, or found by a trial there. */
export function provedOn(
  rig: RigRow,
  position: AxlePosition,
  ground: GroundCode,
  outings: readonly OutingRow[],
  tests: readonly ProofTestRow[],
): Proved[] {
  const here = outings.filter(({ rigId, groundCode }) => rigId === rig.id && groundCode === ground);
  const driven = here.flatMap(({ decision, pressures, loadCaseId, startedAt }): Proved[] => {
    const set = pressures.find((each) => each.position === position);
    const wheelLoadKg = axleWheelKg(rig, position, loadCaseId);
    if (!decision || !set || wheelLoadKg === undefined) return [];
    const decided = decision.code === 'keep' ? 'keep' : decision.code === 'higher' ? 'higher' : 'lower';
    return [{ at: startedAt, pressureKpa: set.pressureKpa, wheelLoadKg, decided, by: 'drive' }];
  });
  const tried = tests.flatMap((test): Proved[] => {
    const on = here.find(({ id }) => id === test.outingId);
    if (test.kind !== 'bracket' || !test.counts || !on) return [];
    const { verdict, tryKpa } = judgementOf(test, rig.family);
    const wheelLoadKg = axleWheelKg(rig, position, on.loadCaseId);
    // One trial tells of one axle: the one whose wheel it was made on.
    const ownAxle = test.details.wheel.startsWith(`${position} `);
    if (!ownAxle || (verdict !== 'sure' && verdict !== 'enough') || tryKpa === null || wheelLoadKg === undefined)
      return [];
    return [{ at: test.performedAt, pressureKpa: tryKpa, wheelLoadKg, decided: 'keep', by: 'trial' }];
  });
  return [...driven, ...tried];
}

/** Where to begin next time with an axle on a ground, by what was proved there. */
export function nextTimeOf(
  rig: RigRow,
  axle: { readonly position: AxlePosition; readonly wheelLoadKg: number; readonly startKpa: number },
  build: Parameters<typeof nextTime>[1],
  proved: readonly Proved[],
): NextTime | null {
  return nextTime(proved, build, axle.wheelLoadKg, familyOf(rig.family).trialStepKpa, axle.startKpa);
}
