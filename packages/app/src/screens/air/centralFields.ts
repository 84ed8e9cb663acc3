import type { Quantity, UnitOf } from '@dunlinmoss/core';

import { parseNumber } from '../../settings/typedNumber';
import type { Units } from '../../settings/preferences';
import { canonicalOf, quantityText, type QuantityText } from '../../components/quantityText';

/** What is asked of a central inflation, canonical: m, km/h, times, L/min and L. */
export interface CentralSetup {
  readonly distance: number;
  readonly speed: number;
  readonly cycles: number;
  readonly supply: number;
  readonly tank: number;
  readonly out: number;
  readonly line: number;
}

export type Typed = { readonly [Key in keyof CentralSetup]: QuantityText };

/** The pressure that a tank is held at, kPa. Assumption. */
export const TANK_KPA = 800;

export interface CentralField {
  readonly key: keyof CentralSetup;
  readonly label: string;
  /** Null for a number without a unit. */
  readonly quantity: Quantity | null;
  /** What a tractor's own compressor and lines do where nobody said otherwise, canonical. Assumptions. */
  readonly usual: number;
  readonly from: number;
  readonly to: number;
}

const field = (
  key: keyof CentralSetup,
  label: string,
  quantity: Quantity | null,
  usual: number,
  [from, to]: readonly [number, number],
): CentralField => ({ key, label, quantity, usual, from, to });

/** On the way between road and field. */
export const WAY_FIELDS = [
  field('distance', 'From where it may begin to the gate', 'distance', 400, [0, 100_000]),
  field('speed', 'Speed there', 'speed', 20, [1, 80]),
  field('cycles', 'Road to field and back, times a day', null, 6, [0, 200]),
];

export const SUPPLY_FIELDS = [
  field('supply', 'Compressor delivers', 'flow', 900, [1, 100_000]),
  field('tank', 'Tank', 'volume', 40, [1, 10_000]),
  field('out', 'Each wheel lets out, at most', 'flow', 360, [6, 6000]),
  field('line', 'Each line lets in, at most', 'flow', 240, [6, 6000]),
];

export const CENTRAL_FIELDS: readonly CentralField[] = [...WAY_FIELDS, ...SUPPLY_FIELDS];

/** What stands there until somebody types, in the person's units. */
export const usualOf = (units: Units): Typed =>
  Object.fromEntries(
    CENTRAL_FIELDS.map(({ key, quantity, usual }) => [
      key,
      quantity
        ? quantityText(quantity, units[quantity] as UnitOf<typeof quantity>, usual)
        : { text: String(usual), unit: '' },
    ]),
  ) as unknown as Typed;

/** What was typed, canonical; undefined where it is no number or out of its range. */
export function valueOf({ key, quantity, from, to }: CentralField, typed: Typed): number | undefined {
  const value = quantity ? canonicalOf(quantity, typed[key]) : parseNumber(typed[key].text);
  return value !== undefined && value >= from && value <= to ? value : undefined;
}

/** Everything asked for; undefined where one of them cannot be. */
export function setupOf(typed: Typed): CentralSetup | undefined {
  const values = CENTRAL_FIELDS.map((each) => [each.key, valueOf(each, typed)] as const);
  return values.some(([, value]) => value === undefined)
    ? undefined
    : (Object.fromEntries(values) as unknown as CentralSetup);
}
