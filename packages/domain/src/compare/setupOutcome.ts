import type { ComparisonBody, ProofTestRow, RigAxle, RigRow, Setup } from '@dunlinmoss/contract';
import {
  contextsOf,
  failure,
  planGround,
  soilOf,
  success,
  whatIf,
  wheelOnSoil,
  type AxlePlan,
  type PlanProblem,
  type Result,
  type SoilProblem,
  type WhatIf,
  type WheelOnSoil,
} from '@dunlinmoss/core';

import { planInput, type NoPlan } from '../plan/planInput';

/** What a setup comes to on a ground. */
export interface SetupOutcome {
  readonly axle: AxlePlan;
  /** At the pressure of the setup, else at the one planned. */
  readonly what: WhatIf;
  /** Null where no soil is asked about. */
  readonly soil: Result<WheelOnSoil, SoilProblem> | null;
}

export type NoOutcome = NoPlan | PlanProblem | { readonly code: 'axleGone' };

/** A setup with nothing changed: the axle as it stands. */
export const plainSetup = (
  { id, loadCaseId }: Pick<RigRow, 'id' | 'loadCaseId'>,
  position: Setup['position'],
): Setup => ({
  rigId: id,
  loadCaseId,
  position,
  tireMarking: null,
  loadRange: null,
  measuredWidthMm: null,
  rimInnerMm: null,
  insert: null,
  casing: null,
  pressureKpa: null,
});

/** Whether nothing is changed on the wheel, whatever pressure it is looked at. */
export const isAsItStands = (setup: Setup): boolean => {
  const { rigId, loadCaseId, position, pressureKpa } = setup;
  const plain = { ...plainSetup({ id: rigId, loadCaseId }, position), pressureKpa };
  return Object.entries(plain).every(([field, value]) => setup[field as keyof Setup] === value);
};

/** What was read on the tire that came off says nothing of another one. */
const OF_THE_TIRE = {
  measuredWidthMm: null,
  treadWidthMm: null,
  minKpa: null,
  maxKpa: null,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
  loadRange: 'standard',
  casing: null,
} satisfies Partial<RigAxle>;

/** A rig with a setup's changes on it. */
export function withSetup(rig: RigRow, setup: Setup): RigRow {
  const axles = rig.axles.map((axle): RigAxle => {
    if (axle.position !== setup.position) return axle;
    const otherTire = setup.tireMarking !== null && setup.tireMarking !== axle.tireMarking;
    const { tireMarking, loadRange, measuredWidthMm, rimInnerMm, insert, casing } = setup;
    const changes = { tireMarking, loadRange, measuredWidthMm, rimInnerMm, insert, casing };
    return {
      ...axle,
      ...(otherTire && OF_THE_TIRE),
      ...(Object.fromEntries(Object.entries(changes).filter(([, value]) => value !== null)) as Partial<RigAxle>),
    };
  });
  return { ...rig, axles };
}

/** What one setup does on a ground: its plan, what the tire does at its pressure, and how the soil takes it. */
export function setupOutcome(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  setup: Setup,
  { groundCode, soil, depthMm }: Pick<ComparisonBody, 'groundCode' | 'soil' | 'depthMm'>,
): Result<SetupOutcome, NoOutcome> {
  const index = rig.axles.findIndex(({ position }) => position === setup.position);
  if (index < 0) return failure({ code: 'axleGone' });
  const asked = { ground: groundCode, modifiers: [], speedKmh: null, loadCaseId: setup.loadCaseId };
  const input = planInput(withSetup(rig, setup), tests, asked);
  if (!input.ok) return input;
  const plan = planGround({ ...input.value, stuckAccepted: true });
  if (!plan.ok) return plan;
  const context = contextsOf(input.value)[index]!;
  const axle = plan.value.axles[index]!;
  const pressureKpa = setup.pressureKpa ?? axle.startKpa;
  return success({
    axle,
    what: whatIf(context, axle, pressureKpa),
    soil:
      soil === null
        ? null
        : wheelOnSoil(
            soilOf(soil),
            context.build,
            context.wheelLoadKg,
            pressureKpa,
            depthMm === null ? null : depthMm / 1000,
          ),
  });
}
