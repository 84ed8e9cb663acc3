import {
  fromCanonical,
  toCanonical,
  UNITS,
  type PressureUnit,
  type Quantity,
  type Unit,
  type UnitOf,
} from '@dunlinmoss/core';

import { parseNumber, parseSum, parseWithUnit } from '../settings/typedNumber';
import { editText } from '../words/format';
import { UNIT_LOOKS } from '../words/units';

/** What a person typed, and the unit it was typed in: switching units elsewhere changes what is shown, never what is meant. */
export interface QuantityText {
  readonly text: string;
  readonly unit: string;
  /** The canonical value that stands behind the text until somebody types: text is rounded, what was kept is not. */
  readonly exact?: number;
  /** Filled in for the person and read by nobody; gone as soon as somebody types. */
  readonly filledIn?: true;
}

export const EMPTY_QUANTITY: QuantityText = { text: '', unit: '' };

/** A canonical value as if it had been typed in this unit. */
export const quantityText = <Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, canonical: number): QuantityText => ({
  text: editText(quantity, unit, canonical),
  unit,
  exact: canonical,
});

const isUnitOf = (quantity: Quantity, unit: Unit): boolean => unit in UNITS[quantity];

/** The canonical value of what was typed; undefined where it is no number. */
export function canonicalOf<Q extends Quantity>(quantity: Q, { text, unit, exact }: QuantityText): number | undefined {
  if (exact !== undefined) return exact;
  // A unit that was written along counts before the one that was chosen.
  const written = parseWithUnit(text);
  if (written) {
    return isUnitOf(quantity, written.unit)
      ? toCanonical(quantity, written.unit as UnitOf<Q>, written.value)
      : undefined;
  }
  // Weights may be typed as a sum of two scales.
  const value = quantity === 'mass' ? parseSum(text) : parseNumber(text);
  return value === undefined ? undefined : toCanonical(quantity, unit as UnitOf<Q>, value);
}

/** The unit that a pressure was typed in: the one written along, else the one of the field. */
export function typedPressureUnit(typed: QuantityText | undefined, own: PressureUnit): PressureUnit {
  const unit = (typed && parseWithUnit(typed.text)?.unit) ?? typed?.unit;
  return unit === 'psi' || unit === 'bar' || unit === 'kPa' ? unit : own;
}

/** What to show in a field of this unit. */
export function shownText<Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, typed: QuantityText): string {
  if (typed.unit === unit) return typed.text;
  const canonical = canonicalOf(quantity, typed);
  return canonical === undefined ? typed.text : editText(quantity, unit, canonical);
}

/** The typed value one step up or down, on a mark of the step; from nothing it starts at the given value. */
export function stepped<Q extends Quantity>(
  quantity: Q,
  unit: UnitOf<Q>,
  typed: QuantityText,
  direction: 1 | -1,
  startCanonical: number,
): QuantityText {
  const canonical = canonicalOf(quantity, typed);
  if (canonical === undefined) return quantityText(quantity, unit, startCanonical);
  const step = UNIT_LOOKS[unit].step;
  const steps = fromCanonical(quantity, unit, canonical) / step;
  const onMark = Math.abs(steps - Math.round(steps)) < 1e-6;
  const next =
    direction === 1
      ? onMark
        ? Math.round(steps) + 1
        : Math.ceil(steps)
      : onMark
        ? Math.round(steps) - 1
        : Math.floor(steps);
  return quantityText(quantity, unit, toCanonical(quantity, unit, Math.max(0, next * step)));
}
