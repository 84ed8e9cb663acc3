import { buildOf, type ProofTestRow, type RigAxle, type RigRow } from '@dunlinmoss/contract';
import { measuredContactFor, readMarking, type PlanAxle } from '@dunlinmoss/core';

/** A saved test as the core judges it. */
export const tapeOf = ({ details, performedAt, id }: ProofTestRow) => ({
  id,
  performedAt,
  build: buildOf(details),
  wheelLoadKg: details.wheelLoadKg,
  method: details.method,
  surface: details.surface,
  readings: details.readings,
});

/** What the newest fitting tape test measured for an axle's tire. */
export const measuredOn = (axle: RigAxle, tests: readonly ProofTestRow[]) =>
  measuredContactFor(tests.map(tapeOf), buildOf(axle));

/** A rig's axles as a plan takes them, with what was measured on their tires. */
export function planAxles(rig: RigRow, tests: readonly ProofTestRow[]): PlanAxle[] {
  return rig.axles.map((axle) => {
    const reading = readMarking(axle.tireMarking);
    if (!reading.ok) throw new Error(`A saved rig has an unreadable marking: ${axle.tireMarking}`);
    const contact = measuredOn(axle, tests);
    return {
      position: axle.position,
      tire: reading.value,
      loadRange: axle.loadRange,
      leftLoadKg: axle.leftLoadKg,
      rightLoadKg: axle.rightLoadKg,
      placardKpa: axle.placardKpa,
      ...(contact && {
        measuredContact: { contactConstant: contact.contactConstant, standardError: contact.standardError },
      }),
    };
  });
}
