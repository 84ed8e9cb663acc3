import { fieldProblems, rig as rigSchema, type FieldProblem, type Rig, type RigAxle } from '@dunlinmoss/contract';
import { readMarking, type AxlePosition, type LoadRange } from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../pieces/quantityText';
import { fieldText } from '../../words/problems';

export interface AxleFormValues {
  readonly marking: string;
  readonly loadRange: LoadRange;
  readonly placard: QuantityText;
  readonly loadsFrom: 'axle' | 'wheel';
  readonly axleLoad: QuantityText;
  readonly leftLoad: QuantityText;
  readonly rightLoad: QuantityText;
}

export interface RigFormValues {
  /** The revision that these values began from: a draft may be older than the row. */
  readonly revision: number;
  readonly name: string;
  readonly beadLocks: boolean;
  /** The rear wears the same tire as the front, so that it is asked for once. */
  readonly sameTires: boolean;
  readonly front: AxleFormValues;
  readonly rear: AxleFormValues;
}

const EMPTY_AXLE: AxleFormValues = {
  marking: '',
  loadRange: 'standard',
  placard: EMPTY_QUANTITY,
  loadsFrom: 'axle',
  axleLoad: EMPTY_QUANTITY,
  leftLoad: EMPTY_QUANTITY,
  rightLoad: EMPTY_QUANTITY,
};

export const EMPTY_RIG: RigFormValues = {
  revision: 0,
  name: '',
  beadLocks: false,
  sameTires: true,
  front: EMPTY_AXLE,
  rear: EMPTY_AXLE,
};

const axleValues = (axle: RigAxle, units: Units): AxleFormValues => ({
  marking: axle.tireMarking,
  loadRange: axle.loadRange,
  placard: quantityText('pressure', units.pressure, axle.placardKpa),
  loadsFrom: axle.loadsFrom,
  axleLoad: quantityText('mass', units.mass, axle.leftLoadKg + axle.rightLoadKg),
  leftLoad: quantityText('mass', units.mass, axle.leftLoadKg),
  rightLoad: quantityText('mass', units.mass, axle.rightLoadKg),
});

/** A saved rig as the form shows it. */
export function rigValues({ revision, name, beadLocks, axles }: Rig, units: Units): RigFormValues {
  const [front, rear] = axles as [RigAxle, RigAxle];
  return {
    revision,
    name,
    beadLocks,
    sameTires: front.tireMarking === rear.tireMarking && front.loadRange === rear.loadRange,
    front: axleValues(front, units),
    rear: axleValues(rear, units),
  };
}

/** The load range that a marking carries itself, where it does. */
export function markedLoadRange(marking: string): LoadRange | undefined {
  const reading = readMarking(marking);
  return reading.ok ? reading.value.loadRange : undefined;
}

function axleCandidate(position: AxlePosition, axle: AxleFormValues, tire: AxleFormValues) {
  const half = canonicalOf('mass', axle.axleLoad);
  const byAxle = axle.loadsFrom === 'axle';
  return {
    position,
    tireMarking: tire.marking,
    loadRange: markedLoadRange(tire.marking) ?? tire.loadRange,
    placardKpa: canonicalOf('pressure', axle.placard),
    loadsFrom: axle.loadsFrom,
    leftLoadKg: byAxle ? half && half / 2 : canonicalOf('mass', axle.leftLoad),
    rightLoadKg: byAxle ? half && half / 2 : canonicalOf('mass', axle.rightLoad),
  };
}

/** The form's field that a refused field of the contract was typed into. */
function formField(path: string, values: RigFormValues): string {
  const [, list, index, field] = path.split('/');
  if (list !== 'axles') return list ?? 'name';
  const axle = index === '1' ? 'rear' : 'front';
  switch (field) {
    case 'tireMarking':
    case 'loadRange':
      return `${values.sameTires ? 'front' : axle}.marking`;
    case 'placardKpa':
      return `${axle}.placard`;
    case 'leftLoadKg':
      return `${axle}.${values[axle].loadsFrom === 'axle' ? 'axleLoad' : 'leftLoad'}`;
    case 'rightLoadKg':
      return `${axle}.${values[axle].loadsFrom === 'axle' ? 'axleLoad' : 'rightLoad'}`;
    default:
      return `${axle}.marking`;
  }
}

export type RigFormResult =
  | { readonly ok: true; readonly rig: Rig }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/** What the form says, checked by the contract's own schema: a rig, or a sentence for each field. */
export function toRig(values: RigFormValues, id: string, units: Units): RigFormResult {
  const checked = rigSchema.safeParse({
    id,
    revision: values.revision,
    family: 'fourWheel',
    name: values.name,
    beadLocks: values.beadLocks,
    axles: [
      axleCandidate('front', values.front, values.front),
      axleCandidate('rear', values.rear, values.sameTires ? values.front : values.rear),
    ],
  });
  if (checked.success) return { ok: true, rig: checked.data };
  return { ok: false, problems: problemsByField(fieldProblems(checked.error), values, units) };
}

/** Sentences by form field; the first for each field stands. */
export function problemsByField(
  problems: readonly FieldProblem[],
  values: RigFormValues,
  units: Units,
): Readonly<Record<string, string>> {
  const byField: Record<string, string> = {};
  for (const problem of problems) {
    const field = formField(problem.path, values);
    // An axle is typed whole but checked by the wheel.
    const whole = field.endsWith('axleLoad') && problem.limit !== undefined;
    byField[field] ??= fieldText(whole ? { ...problem, limit: 2 * problem.limit! } : problem, units);
  }
  return byField;
}
