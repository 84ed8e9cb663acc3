import { placardRules, type AxleContext } from '../axle/axleContext';
import { contactPatch, type ContactPatch } from '../contact/contactPatch';
import { carriedKg } from '../limits/carried';
import { speedForPressureKmh } from '../limits/speedAtPressure';

/** What an axle does at a pressure. */
export interface AxleAt {
  readonly atStart: ContactPatch;
  /** What its heavier wheel carries, kg; null where nothing tells. */
  readonly carriesKg: number | null;
  /** How much lower it stands than at road pressure, mm; null without one. */
  readonly clearanceLostMm: number | null;
  /** The fastest that the pressure allows here, km/h; null where nothing holds it back. */
  readonly allowsKmh: number | null;
}

/**
 * What an axle does at a cold gauge pressure: the plan's own, or the mark of a gauge that is shown for it. Null where the
 * sidewall would be squeezed flat.
 */
export function axleAt(context: AxleContext, atRoad: ContactPatch | null, pressureKpa: number): AxleAt | null {
  const atStart = contactPatch(context.printBuild, context.wheelLoadKg, pressureKpa);
  if (!atStart) return null;
  return {
    atStart,
    carriesKg: context.unweighed ? null : carriedKg(context, pressureKpa),
    clearanceLostMm: atRoad && atStart.deflectionMm - atRoad.deflectionMm,
    allowsKmh: placardRules(context) ? null : speedForPressureKmh(context, pressureKpa, context.ground.paved === true),
  };
}

/** The least that any axle allows, km/h; null where none holds it back. */
export function leastAllowedKmh(axles: readonly Pick<AxleAt, 'allowsKmh'>[]): number | null {
  const allowed = axles.flatMap(({ allowsKmh }) => (allowsKmh === null ? [] : [allowsKmh]));
  return allowed.length === 0 ? null : Math.min(...allowed);
}
