import { loadCaseOf, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import { groundOf, PAVEMENT, planGround, type AxlePosition, type GroundCode } from '@dunlinmoss/core';

import { axleOnGauge, type GaugeUnits } from '../gauge/onGauge';
import { planInput, type PlanRequest } from './planInput';
import { tankLevel } from './tankLevel';

export type TankState = 'full' | 'half' | 'empty';

/** What a machine has on one ground in one state of its tank, as a gauge shows it. */
export interface TankRow {
  readonly ground: GroundCode;
  readonly state: TankState;
  readonly axles: readonly { readonly position: AxlePosition; readonly startKpa: number }[];
}

const LEVELS: Record<TankState, number> = { full: 1, half: 0.5, empty: 0 };

/**
 * A machine whose load comes and goes: road full, field full, field half, road empty, each by its own plan. None for one
 * whose load does not, and none on the road itself.
 */
export function tankTable(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  request: PlanRequest,
  units: GaugeUnits,
): readonly TankRow[] {
  const loadCase = loadCaseOf(rig, request.loadCaseId);
  if (!loadCase || tankLevel(loadCase) === null || groundOf(request.ground).paved) return [];
  const row = (ground: GroundCode, state: TankState): TankRow[] => {
    const onRoad = ground === PAVEMENT;
    const input = planInput(rig, tests, {
      ...request,
      ...(onRoad && { modifiers: [], speedKmh: null, proved: [] }),
      ground,
      tankLevel: LEVELS[state],
    });
    const plan = input.ok ? planGround(input.value) : undefined;
    return plan?.ok
      ? [
          {
            ground,
            state,
            axles: plan.value.axles.map((axle) => ({
              position: axle.position,
              startKpa: axleOnGauge(axle, units).startKpa,
            })),
          },
        ]
      : [];
  };
  return [
    ...row(PAVEMENT, 'full'),
    ...row(request.ground, 'full'),
    ...row(request.ground, 'half'),
    ...row(request.ground, 'empty'),
    ...row(PAVEMENT, 'empty'),
  ];
}
