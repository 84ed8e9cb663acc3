import {
  buildOf,
  doubtfulLoads,
  loadCaseOf,
  rigLoads,
  tireOf,
  type ProofTestRow,
  type RigAxle,
  type RigRow,
} from '@dunlinmoss/contract';
import {
  correctedKpa,
  failure,
  familyOf,
  measuredContactFor,
  sideOf,
  success,
  type AxleLoad,
  type AxlePosition,
  type LoadProblem,
  type PlanAxle,
  type Question,
  type Result,
} from '@dunlinmoss/core';

/** A saved test as the core judges it: readings corrected for their gauge. */
export const tapeOf = ({ details, performedAt, id }: ProofTestRow) => ({
  id,
  performedAt,
  build: buildOf(details),
  wheelLoadKg: details.wheelLoadKg,
  method: details.method,
  surface: details.surface,
  readings: details.readings.map(({ pressureKpa, lengthMm }) => ({
    pressureKpa: correctedKpa(pressureKpa, details.gauge?.offsetKpa ?? 0),
    lengthMm,
  })),
});

/** What the newest fitting tape test measured for an axle's tire. */
export const measuredOn = (axle: Pick<RigAxle, 'tireMarking' | 'loadRange'>, tests: readonly ProofTestRow[]) =>
  measuredContactFor(tests.map(tapeOf), buildOf(axle));

/** Why no pressure can be planned for a rig before anything else is known. */
export type NoPlan =
  | { readonly code: 'family' }
  | { readonly code: 'noLoadCase' }
  | { readonly code: 'loads'; readonly problem: LoadProblem }
  | { readonly code: 'doubtfulLoad'; readonly position: AxlePosition; readonly question: Question }
  | { readonly code: 'roadMissing'; readonly position: AxlePosition };

/** The heaviest tire on each side of an axle. */
const heaviestOn = ({ wheels }: AxleLoad, side: 'left' | 'right'): number =>
  Math.max(...wheels.filter(({ wheel }) => sideOf(wheel) === side).map(({ loadKg }) => loadKg));

/** A rig's axles as a plan takes them, in one load case, with what was measured on their tires. */
export function planAxles(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  loadCaseId?: string | null,
): Result<PlanAxle[], NoPlan> {
  if (!familyOf(rig.family).grounds) return failure({ code: 'family' });
  const loadCase = loadCaseOf(rig, loadCaseId);
  if (!loadCase) return failure({ code: 'noLoadCase' });
  const loads = rigLoads(rig, loadCase);
  if (!loads.ok) return failure({ code: 'loads', problem: loads.problem });
  const [doubtful] = doubtfulLoads(rig.family, loads.value);
  if (doubtful) return failure({ code: 'doubtfulLoad', ...doubtful });
  const bare = rig.axles.find(({ roadKpa }) => roadKpa === null || roadKpa === 0);
  if (bare) return failure({ code: 'roadMissing', position: bare.position });
  return success(
    rig.axles.map((axle, index) => {
      const load = loads.value.axles[index]!;
      const contact = measuredOn(axle, tests);
      return {
        position: axle.position,
        tire: tireOf(axle.tireMarking),
        loadRange: axle.loadRange,
        leftLoadKg: heaviestOn(load, 'left'),
        rightLoadKg: heaviestOn(load, 'right'),
        placardKpa: axle.roadKpa!,
        beadLocks: axle.beadHold === 'beadLock',
        heldFloorKpa: rig.beadFloorKpa,
        ...(contact && {
          measuredContact: { contactConstant: contact.contactConstant, standardError: contact.standardError },
        }),
      };
    }),
  );
}
