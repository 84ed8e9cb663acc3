import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { failure, success, type AxlePosition, type Result } from '@dunlinmoss/core';

import type { GaugeUnits } from '../gauge/onGauge';
import { startsOf, type PlanRequest } from '../plan/planInput';
import { rigWheels } from './wheels';

/** A road to the field and back, with what is carried each way: null goes by the load case that stands. */
export interface CentralRound {
  readonly field: PlanRequest;
  readonly outCaseId: string | null;
  readonly homeCaseId: string | null;
}

/** One axle on such a round, cold, as a gauge shows it, kPa. */
export interface CentralLegs {
  readonly position: AxlePosition;
  readonly wheels: number;
  readonly volumeL: number;
  readonly outKpa: number;
  /** Carries what comes and what leaves. */
  readonly fieldKpa: number;
  readonly homeKpa: number;
}

/** The leg that no pressure is known for. */
export interface LegWithout {
  readonly code: 'noPressure';
  readonly leg: 'out' | 'field' | 'home';
}

const without = (leg: LegWithout['leg']) => failure({ code: 'noPressure', leg } as const);

/**
 * What each axle has on the road out, in the field and on the road home, each by what it carries there. Out full and
 * home empty, or out empty and home full: the field pressure carries the heavier of the two.
 */
export function centralLegs(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  { field, outCaseId, homeCaseId }: CentralRound,
  units: GaugeUnits,
): Result<readonly CentralLegs[], LegWithout> {
  const onRoad = (loadCaseId: string | null) =>
    startsOf(rig, tests, { ground: 'pavement', modifiers: [], speedKmh: null, loadCaseId }, units);
  const inField = (loadCaseId: string | null) => startsOf(rig, tests, { ...field, loadCaseId }, units);
  const [out, home] = [onRoad(outCaseId), onRoad(homeCaseId)];
  const [coming, leaving] = [inField(outCaseId), inField(homeCaseId)];
  if (!out) return without('out');
  if (!coming || !leaving) return without('field');
  if (!home) return without('home');
  const wheels = rigWheels(rig);
  return success(
    out.map(({ position, startKpa: outKpa }, index): CentralLegs => {
      const own = wheels.filter((wheel) => wheel.position === position);
      return {
        position,
        wheels: own.length,
        volumeL: own[0]!.volumeL,
        outKpa,
        fieldKpa: Math.max(coming[index]!.startKpa, leaving[index]!.startKpa),
        homeKpa: home[index]!.startKpa,
      };
    }),
  );
}
