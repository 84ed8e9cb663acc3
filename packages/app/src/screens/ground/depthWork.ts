import { pressing, type AxleContext, type GroundPlan } from '@dunlinmoss/core';
import {
  axleOnField,
  axleOnGauge,
  depthsOf,
  FIELD_DEPTHS,
  soilOfField,
  USUAL_FIELD,
  type FieldWords,
  type OwnStrength,
} from '@dunlinmoss/domain';

import { createStore } from '../../settings/store';
import type { PlanQuery } from '../../hooks/usePlanQuery';

/** The field that was described last, as this device knows it. */
export const fieldStore = createStore<FieldWords>(USUAL_FIELD, 'field');
/** A cone says how strong soil was on its day, which may have been drier: taken only where somebody says so. */
export const useConeStore = createStore(false, 'useCone');

/** What is tried instead of what is: a pressure, shares of load and width. */
export interface Dragged {
  readonly pressureKpa: number | null;
  readonly load: number;
  readonly width: number;
}
export const AS_IT_STANDS: Dragged = { pressureKpa: null, load: 1, width: 1 };

export interface Work {
  readonly question: PlanQuery;
  readonly plan: GroundPlan;
  readonly contexts: readonly AxleContext[];
  /** Which axle. */
  readonly at: number;
  readonly dragged: Dragged;
  readonly field: FieldWords;
  /** Only where the person says that it holds today. */
  readonly cone: OwnStrength | undefined;
  /** Where roots stop by one's own cone, as wet as that day or not; null without. */
  readonly rootsToMm: number | null;
}

/** The axle that is looked at, as it is tried. */
export function asTried({ question: { rig, units }, plan, contexts, at, dragged, field }: Work) {
  const pressureKpa = dragged.pressureKpa ?? axleOnGauge(plan.axles[at]!, units).startKpa;
  const stands = axleOnField(rig, contexts, at, pressureKpa, field.times);
  const { tire } = stands;
  const axle = {
    ...stands,
    tire: { ...tire, loadKg: tire.loadKg * dragged.load, widthM: tire.widthM * dragged.width },
  };
  return { axle, pressureKpa };
}

export const soilTried = ({ field, cone }: Pick<Work, 'field' | 'cone'>) => soilOfField(field, cone);

/** What it does to the field. */
export function workedOut(work: Work) {
  const { axle, pressureKpa } = asTried(work);
  const soil = soilTried(work);
  const depths = depthsOf(work.field);
  const depthsM = FIELD_DEPTHS.map((depth) => depths[depth]);
  return { axle, soil, depths, depthsM, pressureKpa, pressed: pressing(axle, soil, depthsM) };
}
