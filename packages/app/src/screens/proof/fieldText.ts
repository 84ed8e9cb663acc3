import type { Field, Fields, OutlineMm, RoutineValue, RoutineValues } from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../components/quantityText';
import { parseNumber } from '../../settings/typedNumber';

/** What stands in one field: a number with the unit it was typed in, a plain number or a choice, or what no person types. */
export type FieldText = QuantityText | string | OutlineMm | null;

export type RunText = Record<string, FieldText>;

/** Quantities that people see in their own unit; all else is typed as it is meant. */
export const quantityOf = (field: Field): 'pressure' | 'length' | undefined =>
  field.type !== 'number' ? undefined : field.unit === 'kpa' ? 'pressure' : field.unit === 'mm' ? 'length' : undefined;

type UnitsSeen = Pick<Units, 'length'>;

/**
 * Quantities that follow the person's unit of length: areas and volumes. Typed in the first unit, or the second where
 * lengths are in inches; how many of the canonical unit each is. Exact: 1 fl oz (US) is 29.5735295625 mL.
 */
const FOLLOWING = {
  mm2: { metric: ['cm²', 100], inch: ['in²', 645.16] },
  ml: { metric: ['mL', 1], inch: ['fl oz', 29.5735295625] },
} as const;

type Following = keyof typeof FOLLOWING;

/** The unit that such a number is typed in; undefined for one that has no other. */
export const followingUnit = (field: Field, { length }: UnitsSeen): string | undefined =>
  field.type === 'number' && field.unit in FOLLOWING
    ? FOLLOWING[field.unit as Following][length === 'in' ? 'inch' : 'metric'][0]
    : undefined;

const canonicalPer = (unit: string): number =>
  Object.values(FOLLOWING)
    .flatMap(({ metric, inch }) => [metric, inch])
    .find(([name]) => name === unit)![1];

/** Areas are typed in square centimeters, by those who measure in inches in square inches. */
export const areaUnit = ({ length }: UnitsSeen): 'cm²' | 'in²' => FOLLOWING.mm2[length === 'in' ? 'inch' : 'metric'][0];

export const inAreaUnit = (mm2: number, units: UnitsSeen): number => mm2 / canonicalPer(areaUnit(units));

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
  const unit = followingUnit(field, units);
  if (unit !== undefined) return { text: String(Number((value / canonicalPer(unit)).toFixed(1))), unit, exact: value };
  const rounded = String(Number(value.toFixed(3)));
  return Number(rounded) === value ? rounded : { text: rounded, unit: '', exact: value };
}

export const textsOf = (fields: Fields, values: RoutineValues, units: Units): RunText =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, textOf(field, values[name] ?? null, units)]));

export const isQuantity = (typed: FieldText): typed is QuantityText =>
  typeof typed === 'object' && typed !== null && 'text' in typed;

/** What was typed, canonical; null where nothing was, undefined where it is no such thing. */
export function valueOf(field: Field, typed: FieldText): RoutineValue | undefined {
  if (typed === null || typed === '') return null;
  if (isQuantity(typed)) {
    if (typed.exact !== undefined) return typed.exact;
    if (typed.text.trim() === '') return null;
    const quantity = quantityOf(field);
    if (quantity) return canonicalOf(quantity, typed);
    const number = parseNumber(typed.text);
    return number === undefined ? undefined : number * canonicalPer(typed.unit);
  }
  if (field.type !== 'number') return typed;
  return parseNumber(String(typed));
}
