import type { Family } from '../families/family';
import { isLike, type Ground, type Trait } from '../grounds/ground';
import type { ModifierCode } from '../modifiers/registry';
import type { PlanAxle } from '../axle/planAxle';
import type { Source } from '../sources/source';

/** What of an axle's plan cautions look at. */
export interface CautionPlan {
  readonly roadKpa: number | null;
  readonly startKpa: number;
  readonly floor: { readonly pressureKpa: number };
  /** The limits that would be passed upwards; null where no ceiling is known. */
  readonly ceiling: { readonly all: readonly { readonly code: string }[] } | null;
  /** What each school that answers asks for, before any limit. */
  readonly schools: readonly (
    | { readonly code: string; readonly ok: true; readonly targetKpa: number }
    | { readonly code: string; readonly ok: false }
  )[];
}

/** What a caution looks at to know whether it applies. */
export interface CautionContext {
  readonly family: Family;
  readonly ground: Ground;
  readonly modifiers: readonly ModifierCode[];
  /** What the person needs to drive, and what the plan would have them drive; null where nothing sets one. */
  readonly speedKmh: number | null;
  readonly guideKmh: number | null;
  /** The ground's own guide; null where nothing but tire and machine sets one. */
  readonly groundGuideKmh: number | null;
  readonly axles: readonly { readonly axle: PlanAxle; readonly plan: CautionPlan }[];
}

/**
 * Something that can hurt someone, or cost a tire. The interface words each code and never hides one that applies. A new
 * one is a file in this folder and a line in `registry.ts`.
 */
export interface Caution {
  readonly code: string;
  /** `danger` stands before `care`. */
  readonly severity: 'danger' | 'care';
  readonly source: Source;
  readonly applies: (context: CautionContext) => boolean;
}

/** Air was let out of at least one axle. */
export const lowered = ({ axles }: CautionContext): boolean =>
  axles.some(({ plan }) => plan.roadKpa !== null && plan.startKpa < plan.roadKpa);

/** On ground that is like all of these. */
export const onGround =
  (...traits: readonly Trait[]) =>
  ({ ground }: CautionContext): boolean =>
    isLike(ground, ...traits);
