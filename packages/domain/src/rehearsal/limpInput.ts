import {
  airPressureKpaAbs,
  contextsOf,
  failure,
  planGround,
  success,
  whatIf,
  type LimpInput,
  type Result,
} from '@dunlinmoss/core';

import { planInput } from '../plan/planInput';
import type { RouteContext } from '../route/dayRoute';
import type { NoRehearsal } from './rehearsalInput';

/** Warm enough to be out, °C. Assumption. */
const OUTSIDE_C = 20;
/** The ground one comes from. */
const FROM = 'softSand' as const;
const ROAD = 'pavement' as const;

/** The way home on what soft sand asked for: the axle whose pressure allows the least speed on pavement. */
export function limpInput({
  rig,
  tests,
  altitudeM,
  withProof,
}: Pick<RouteContext, 'rig' | 'tests' | 'altitudeM' | 'withProof'>): Result<LimpInput, NoRehearsal> {
  const asked = (ground: typeof FROM | typeof ROAD) => ({ ground, modifiers: [], speedKmh: null, loadCaseId: null });
  const sand = planInput(rig, tests, withProof(asked(FROM)));
  const road = planInput(rig, tests, withProof(asked(ROAD)));
  if (!sand.ok) return sand;
  if (!road.ok) return road;
  const soft = planGround(sand.value);
  const paved = planGround(road.value);
  if (!soft.ok) return soft;
  if (!paved.ok) return paved;
  const contexts = contextsOf(road.value);
  const axles = soft.value.axles.flatMap(({ startKpa }, index) => {
    const { speedKmh } = whatIf(contexts[index]!, paved.value.axles[index]!, startKpa);
    return speedKmh === null ? [] : [{ pressureKpa: startKpa, allowedKmh: speedKmh }];
  });
  const slowest = axles.sort((a, b) => a.allowedKmh - b.allowedKmh)[0];
  if (!slowest) return failure({ code: 'roadUnknown' });
  return success({ ...slowest, outsideKpaAbs: airPressureKpaAbs(altitudeM), outsideC: OUTSIDE_C });
}
