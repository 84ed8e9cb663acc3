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
