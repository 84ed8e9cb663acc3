import type { MarkingProblem, SizeKnown, SizePart } from './notation';

/** A size as it is said, written as a sidewall would have it; or what is still missing of it. */
export type SpokenSize =
  { readonly code: 'marking'; readonly marking: string } | Extract<MarkingProblem, { code: 'sizeIncomplete' }>;

/** What stands between the numbers of a size when it is typed as it is said. */
const SPOKEN =
  /^(?<lead>P|LT|AT)?\s*(?<numbers>\d+(?:\.\d+)?(?:\s*(?:[\s/X-]|IN|"|BY|R)\s*R?\s*\d+(?:\.\d+)?){0,2})\s*(?:S|IN|"|INCH|INCHES)?$/;

const within = (value: number, low: number, high: number): boolean => value >= low && value <= high;

/** Bicycle sizes by their nominal diameter, in; widths are far below those of any other tire. */
const BICYCLE_INCHES: ReadonlySet<number> = new Set([20, 24, 26, 27.5, 28, 29]);
const isBicycleWidth = (width: number): boolean => within(width, 1, 5.5);
/** Metric widths of cars and trucks, aspects and rims: assumptions, wide of every real one. */
const isMetricWidth = (width: number): boolean => within(width, 125, 455);
const isAspect = (aspect: number): boolean => within(aspect, 25, 100);
const isRim = (rim: number): boolean => within(rim, 8, 26);
const isOuter = (outer: number): boolean => within(outer, 18, 48);
const isWidthInch = (width: number): boolean => within(width, 6, 17);
/** On rims up to this a size by its outer diameter is a quad's. Assumption. */
const QUAD_RIM_INCH = 14;

const incomplete = (known: SizeKnown, missing: readonly SizePart[]): SpokenSize => ({
  code: 'sizeIncomplete',
  known,
  missing,
});
const marking = (text: string): SpokenSize => ({ code: 'marking', marking: text });

/**
 * Reads a size as people say it aloud: `265 70 17`, `33 12.50 15`, `33x12.5`, `29 2.4`, `35s`. What is certain is taken,
 * and what is missing is named; nothing is guessed. Null for what is no size at all.
 *
 * @param tidied capitals, single blanks, points for commas
 * @example spokenSize('265 70 17') // { code: 'marking', marking: '265/70R17' }
 * @example spokenSize('35S') // { code: 'sizeIncomplete', known: { outerInch: 35 }, missing: ['width', 'rim'] }
 */
export function spokenSize(tidied: string): SpokenSize | null {
  const parts = SPOKEN.exec(tidied)?.groups;
  if (!parts) return null;
  const lead = parts.lead ?? '';
  const [a, b, c] = parts.numbers!.match(/\d+(?:\.\d+)?/g)!.map(Number);
  if (b === undefined) return oneNumber(a!);
  return c === undefined ? twoNumbers(a!, b) : threeNumbers(lead, a!, b, c);
}

function oneNumber(a: number): SpokenSize | null {
  if (within(a, 27, 44)) return incomplete({ outerInch: a }, ['width', 'rim']);
  return isMetricWidth(a) ? incomplete({ widthMm: a }, ['aspect', 'rim']) : null;
}

function twoNumbers(a: number, b: number): SpokenSize | null {
  if (BICYCLE_INCHES.has(a) && isBicycleWidth(b)) return marking(`${a}x${Number.isInteger(b) ? b.toFixed(1) : b}`);
  if (a === 700 && within(b, 18, 60)) return marking(`700x${b}C`);
  if (isMetricWidth(a) && isAspect(b)) return incomplete({ widthMm: a, aspectPercent: b }, ['rim']);
  if (isOuter(a) && isWidthInch(b)) return incomplete({ outerInch: a, widthInch: b }, ['rim']);
  return null;
}

function threeNumbers(lead: string, a: number, b: number, c: number): SpokenSize | null {
  if (isMetricWidth(a) && isAspect(b) && isRim(c)) {
    // Widths that end in 0 belong to other vehicles on the sidewall itself; said with a rim of a car they are a car's.
    const car = lead === 'LT' || !Number.isInteger(a / 10) ? lead : 'P';
    return marking(`${car}${a}/${b}R${c}`);
  }
  if (isOuter(a) && isWidthInch(b) && isRim(c) && c < a) {
    return lead === 'AT' || c <= QUAD_RIM_INCH ? marking(`AT${a}x${b}-${c}`) : marking(`${a}x${b.toFixed(2)}R${c}LT`);
  }
  return null;
}
