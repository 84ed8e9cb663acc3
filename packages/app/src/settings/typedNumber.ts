import type { Unit } from '@dunlinmoss/core';

/** A sum as people type it beside two scales: `41.2+38−3`. Undefined where a part of it is no number. */
export function parseSum(text: string): number | undefined {
  const parts = text
    .replace(/[−–]/g, '-')
    .replace(/\s+/g, '')
    .match(/[+-]?[^+-]+/g);
  if (!parts || parts.join('') !== text.replace(/[−–]/g, '-').replace(/\s+/g, '')) return undefined;
  const numbers = parts.map(parseNumber);
  return numbers.every((each) => each !== undefined) ? numbers.reduce((sum, each) => sum + each, 0) : undefined;
}

/** A number as people type it: comma or point, blanks around it. Undefined where it is none. */
export function parseNumber(text: string): number | undefined {
  const tidy = text.trim().replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : undefined;
}

/** Ways in which people write a unit behind a number, by its code. */
const WRITTEN_UNITS: readonly (readonly [pattern: RegExp, unit: Unit])[] = [
  [/^psi$/, 'psi'],
  [/^bars?$/, 'bar'],
  [/^kpa$/, 'kPa'],
  [/^kgs?$/, 'kg'],
  [/^(lbs?|pounds?)$/, 'lb'],
  [/^mm$/, 'mm'],
  [/^(in|inch|inches|")$/, 'in'],
  [/^(km\/?h|kmh|kph)$/, 'kmh'],
  [/^mph$/, 'mph'],
  [/^(l|liters?|litres?)$/, 'L'],
  [/^(gal|gallons?)$/, 'gal'],
];

/** A number with the unit that was written behind it: `36 psi`, `2,5 bar`. Undefined where there is none of both. */
export function parseWithUnit(text: string): { readonly value: number; readonly unit: Unit } | undefined {
  const parts = /^\s*([+-]?[\d.,]+)\s*([a-z/"]+)\.?\s*$/i.exec(text);
  const value = parts ? parseNumber(parts[1]!) : undefined;
  const unit = parts && WRITTEN_UNITS.find(([pattern]) => pattern.test(parts[2]!.toLowerCase()))?.[1];
  return value === undefined || !unit ? undefined : { value, unit };
}
