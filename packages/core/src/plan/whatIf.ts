import type { ContactPatch } from '../contact/contactPatch';
import type { CeilingCode } from '../limits/ceilings';
import type { FloorCode } from '../limits/floors';
import { speedForPressureKmh } from '../limits/speedAtPressure';
import type { AxleContext } from '../axle/axleContext';
import { axleAt } from './axleAt';
import type { AxlePlan } from './plan';

/** What an axle would do at another pressure, and how near it would come to each limit. */
export interface WhatIf {
  readonly pressureKpa: number;
  /** Null where the sidewall would be squeezed flat. */
  readonly patch: ContactPatch | null;
  /** How much lower it stands than at road pressure, mm; null without one. */
  readonly clearanceLostMm: number | null;
  /** The fastest that the pressure and what is driven here allow: what is needed, else the ground's guide, km/h; null where nothing sets it. */
  readonly speedKmh: number | null;
  /** What the heavier wheel carries beyond its load at the speed planned for, kg; null where unknown. */
  readonly loadLeftKg: number | null;
  /** Above each floor and below each ceiling, kPa; less than zero is past it. */
  readonly limits: readonly {
    readonly code: FloorCode | CeilingCode;
    readonly limitKpa: number;
    readonly insideKpa: number;
  }[];
}

/**
 * What if the axle stood at this pressure, whatever the plan says.
 *
 * @param context the axle, from `contextsOf`
 * @param plan what was planned for it
 * @param pressureKpa gauge, cold
 */
export function whatIf(context: AxleContext, plan: AxlePlan, pressureKpa: number): WhatIf {
  const { wheelLoadKg, ground, family } = context;
  const at = axleAt(context, plan.atRoad, pressureKpa);
  const allowed = family.speedGuide ? speedForPressureKmh(context, pressureKpa, ground.paved === true) : null;
  const guide = family.speedGuide ? (context.speedKmh ?? ground.speedGuideKmh?.high ?? null) : null;
  const speeds = [allowed, guide].filter((kmh) => kmh !== null);
  const carriesKg = at?.carriesKg ?? null;
  return {
    pressureKpa,
    patch: at?.atStart ?? null,
    clearanceLostMm: at?.clearanceLostMm ?? null,
    speedKmh: speeds.length === 0 ? null : Math.min(...speeds),
    loadLeftKg: carriesKg === null ? null : carriesKg - wheelLoadKg,
    limits: [
      ...plan.floor.all.map(({ code, pressureKpa: limitKpa }) => ({
        code,
        limitKpa,
        insideKpa: pressureKpa - limitKpa,
      })),
      ...(plan.ceiling?.all ?? []).map(({ code, pressureKpa: limitKpa }) => ({
        code,
        limitKpa,
        insideKpa: limitKpa - pressureKpa,
      })),
    ],
  };
}
