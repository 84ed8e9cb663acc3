import type {
  Field,
  Fields,
  FieldUnit,
  OutlineMm,
  Quantity,
  RoutineValue,
  RoutineValues,
  Unit,
} from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../components/quantityText';
import { parseNumber } from '../../settings/typedNumber';

/** What stands in one field: a number with the unit it was typed in, a plain number or a choice, or what no person types. */
export type FieldText = QuantityText | string | OutlineMm | null;

export type RunText = Record<string, FieldText>;

const QUANTITY_OF: Partial<Record<FieldUnit, Quantity>> = {
  kpa: 'pressure',
  mm: 'length',
  mm2: 'area',
  ml: 'pour',
  m: 'distance',
};

/** The quantity of a number that people see in their own unit; undefined for one that has no other. */
export const quantityOf = (field: Field): Quantity | undefined =>
  field.type === 'number' ? QUANTITY_OF[field.unit] : undefined;

const blank = (field: Field): FieldText =>
  quantityOf(field) ? EMPTY_QUANTITY : field.type === 'outline' || field.type === 'id' ? null : '';

export const blanks = (fields: Fields): RunText =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, blank(field)]));

/** A value as if it had been typed. */
export function textOf(field: Field, value: RoutineValue, units: Units): FieldText {
  if (value === null) return blank(field);
  if (typeof value !== 'number') return value;
  const quantity = quantityOf(field);
  if (quantity) return quantityText(quantity, units[quantity] as never, value);
  const rounded = String(Number(value.toFixed(3)));
  return Number(rounded) === value ? rounded : { text: rounded, unit: '', exact: value };
}

export const textsOf = (fields: Fields, values: RoutineValues, units: Units): RunText =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, textOf(field, values[name] ?? null, units)]));

export const isQuantity = (typed: FieldText): typed is QuantityText =>
  typeof typed === 'object' && typed !== null && 'text' in typed;

/** Units as an earlier version wrote them into a draft. */
const OLDER_UNITS: Readonly<Record<string, Unit>> = { 'cm²': 'cm2', 'in²': 'in2', 'fl oz': 'floz' };

/** What stands in the field of a quantity. A draft of an earlier version may have its unit in words, or none for meters. */
export function asQuantityText(typed: FieldText | undefined): QuantityText {
  if (typeof typed === 'string') return typed === '' ? EMPTY_QUANTITY : { text: typed, unit: 'm' };
  if (typed === undefined || !isQuantity(typed)) return EMPTY_QUANTITY;
  return { ...typed, unit: OLDER_UNITS[typed.unit] ?? typed.unit };
}

/** What was typed, canonical; null where nothing was, undefined where it is no such thing. */
export function valueOf(field: Field, typed: FieldText): RoutineValue | undefined {
  if (typed === null || typed === '') return null;
  const quantity = quantityOf(field);
  if (quantity) {
    const { text, ...rest } = asQuantityText(typed);
    return text.trim() === '' && rest.exact === undefined ? null : canonicalOf(quantity, { text, ...rest });
  }
  if (isQuantity(typed)) {
    if (typed.exact !== undefined) return typed.exact;
    if (typed.text.trim() === '') return null;
    return parseNumber(typed.text);
  }
  if (field.type !== 'number') return typed;
  return parseNumber(String(typed));
}
