import { loadCaseOf, rigLoads, type RigRow } from '@dunlinmoss/contract';
import { wheelKey, type WheelRef } from '@dunlinmoss/core';

import { rigWheels } from '../air/wheels';
import type { WrittenDown } from '../evidence/evidence';

/** The tire and load that a test is held against. */
export type TestedTire = Pick<WrittenDown, 'tireMarking' | 'loadRange' | 'wheelLoadKg' | 'widthMm'>;

/** A wheel that a test can be made on. */
export interface TestedWheel extends TestedTire, WheelRef {
  /** As `wheelKey` writes it. */
  readonly key: string;
  readonly roadKpa: number | null;
}

/** Every wheel of a rig with the tire on it and the load it carries in a load case; null where nobody knows that. */
export function testedWheels(rig: RigRow, loadCaseId?: string | null): TestedWheel[] {
  const loadCase = loadCaseOf(rig, loadCaseId);
  const loads = loadCase && rigLoads(rig, loadCase);
  return rigWheels(rig).map((place) => {
    const index = rig.axles.findIndex(({ position }) => position === place.position);
    const loaded = loads?.ok ? loads.value.axles[index]?.wheels.find(({ wheel }) => wheel === place.wheel) : undefined;
    const { tireMarking, loadRange, measuredWidthMm, roadKpa, position } = place.axle;
    return {
      key: wheelKey(place),
      tireMarking,
      loadRange,
      wheelLoadKg: loaded && loaded.loadKg >= 1 ? loaded.loadKg : null,
      widthMm: measuredWidthMm,
      roadKpa,
      position,
      wheel: place.wheel,
    };
  });
}

/** The heaviest wheel, which a test of the whole rig is held against; the first where no load is known. */
export const heaviest = (wheels: readonly TestedWheel[]): TestedWheel =>
  wheels.reduce((a, b) => ((b.wheelLoadKg ?? 0) > (a.wheelLoadKg ?? 0) ? b : a));
