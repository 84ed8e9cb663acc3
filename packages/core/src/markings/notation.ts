import type { Result } from '../result/result';
import { inch } from '../units/units';
import { MAX_LOAD_INDEX } from '../tires/loadIndex';
import type { LoadRange } from '../tires/loadRange';
import { SIZE_LIMITS } from '../tires/sizeLimits';
import { isSpeedSymbol, speedSymbolKmh } from '../tires/speedSymbol';
import {
  outerDiameterMm,
  type Construction,
  type RatedService,
  type ServiceDescription,
  type Tire,
} from '../tires/tire';

/** Parts of a size that a person may leave out. */
export type SizePart = 'outer' | 'width' | 'aspect' | 'rim';
/** What was understood of one, as it was said: inches, the width of metric sizes mm, the aspect per cent. */
export type SizeKnown = Readonly<
  Partial<Record<'outerInch' | 'widthInch' | 'widthMm' | 'aspectPercent' | 'rimInch', number>>
>;

/** Why a marking can't be read. Numbers are in the unit of their name; the sentence is made by the interface. */
export type MarkingProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'unknownNotation' }
  /** Said as people say it, and not all of it: what was understood, and what is still missing. */
  | { readonly code: 'sizeIncomplete'; readonly known: SizeKnown; readonly missing: readonly SizePart[] }
  | {
      readonly code: 'sectionWidthOutOfRange';
      readonly sectionWidthMm: number;
      readonly minMm: number;
      readonly maxMm: number;
    }
  | { readonly code: 'aspectOutOfRange'; readonly aspectPercent: number; readonly min: number; readonly max: number }
  | { readonly code: 'rimOutOfRange'; readonly rimInch: number; readonly minInch: number; readonly maxInch: number }
  | {
      readonly code: 'outerDiameterOutOfRange';
      readonly outerDiameterMm: number;
      readonly minMm: number;
      readonly maxMm: number;
    }
  | { readonly code: 'unknownLoadIndex'; readonly loadIndex: number; readonly max: number }
  | { readonly code: 'unknownSpeedSymbol'; readonly symbol: string }
  | { readonly code: 'dualAboveSingle'; readonly loadIndex: number; readonly dualLoadIndex: number }
  /** A farm tire's second rating must be for a higher speed than its first. */
  | { readonly code: 'fasterIsSlower'; readonly speedSymbol: string; readonly fasterSymbol: string }
  | { readonly code: 'plyRatingOutOfRange'; readonly plyRating: number; readonly min: number; readonly max: number }
  /** `26x1 3/8` is another rim than `26x1.375`. */
  | { readonly code: 'fractionalWidth' }
  /** `650x47` alone does not say which of three rims. */
  | { readonly code: 'rimLetterMissing'; readonly letters: readonly string[] }
  | { readonly code: 'unknownBeadSeat'; readonly beadSeatMm: number; readonly known: readonly number[] };

/**
 * One way of writing a tire size. A new notation is a file beside this one and a line in `readMarking.ts`.
 * `read` takes a tidied text (capitals, single blanks, points for commas) and answers null for one that is not in this
 * notation at all; `write` gives a text that reads back as the same tire.
 */
export interface Notation {
  readonly code: Tire['notation'];
  readonly example: string;
  read(text: string): Result<Tire, MarkingProblem> | null;
  write(tire: Tire): string;
}

const PLIES = { min: 2, max: 32 };

/**
 * The end that all notations share: `116T`, `121/118Q`, `159A8/B`, `(75W)`, then `8PR`, stars, a load range letter, XL, NHS.
 * Text, not a regular expression: the build strips the group names from the source of a literal.
 */
export const SERVICE_PATTERN =
  String.raw`(?:\s*\(?(?<loadIndex>\d{2,3})(?:/(?<dualLoadIndex>\d{2,3}))?\s*(?<speedSymbol>[A-Z]\d?)` +
  String.raw`(?:\s*/\s*(?<fasterIndex>\d{2,3})?\s*(?<fasterSymbol>[A-Z]\d?))?\)?)?` +
  String.raw`(?:\s*(?<plies>\d{1,2})\s*PR)?(?:\s*(?<stars>\*{1,4}))?` +
  String.raw`(?:\s+(?:LR\s*)?(?<loadRange>[B-HJL]))?(?<extraLoad>\s+XL)?(?<notHighway>\s+NHS)?$`;

const CONSTRUCTIONS: Record<string, Construction> = { R: 'radial', D: 'bias', '-': 'bias', B: 'belted' };
const CONSTRUCTION_LETTERS: Record<Construction, string> = { radial: 'R', bias: '-', belted: 'B' };

export const readConstruction = (letter: string): Construction => CONSTRUCTIONS[letter]!;
export const writeConstruction = (tire: Tire): string => CONSTRUCTION_LETTERS[tire.construction];

/** A rim's inch code as it is written: 16, 22.5. */
export const writeRim = (tire: Tire): string => String(Number((tire.rimDiameterMm / inch(1)).toFixed(1)));

/** Inches with at least so many digits behind the point, and one more where the size has it (2.125). */
export function writeInches(mm: number, digits: number): string {
  const exact = Number((mm / inch(1)).toFixed(3));
  return Number(exact.toFixed(digits)) === exact ? exact.toFixed(digits) : String(exact);
}

type Parts = Readonly<Record<string, string | undefined>>;
type SizeOnly = Omit<Tire, 'service' | 'loadRange' | 'plyRating' | 'stars' | 'extraLoad' | 'notHighway'>;

const fail = (problem: MarkingProblem): Result<Tire, MarkingProblem> => ({ ok: false, problem });

/** Checks the parts that every notation has, and puts the tire together. */
export function finishTire(base: SizeOnly, parts: Parts): Result<Tire, MarkingProblem> {
  const limits = SIZE_LIMITS[base.use];
  const { sectionWidthMm, aspectPercent } = base;
  if (sectionWidthMm < limits.sectionMm.min || sectionWidthMm > limits.sectionMm.max) {
    const { min: minMm, max: maxMm } = limits.sectionMm;
    return fail({ code: 'sectionWidthOutOfRange', sectionWidthMm, minMm, maxMm });
  }
  if (aspectPercent < limits.aspectPercent.min || aspectPercent > limits.aspectPercent.max) {
    return fail({ code: 'aspectOutOfRange', aspectPercent, ...limits.aspectPercent });
  }
  const rimInch = base.rimDiameterMm / inch(1);
  if (rimInch < limits.rimInch.min || rimInch > limits.rimInch.max) {
    const { min: minInch, max: maxInch } = limits.rimInch;
    return fail({ code: 'rimOutOfRange', rimInch, minInch, maxInch });
  }
  const outer = outerDiameterMm(base);
  if (outer < limits.outerMm.min || outer > limits.outerMm.max) {
    const { min: minMm, max: maxMm } = limits.outerMm;
    return fail({ code: 'outerDiameterOutOfRange', outerDiameterMm: outer, minMm, maxMm });
  }

  const service = readService(parts);
  if (service && 'code' in service) return fail(service);
  const plyRating = parts.plies === undefined ? undefined : Number(parts.plies);
  if (plyRating !== undefined && (plyRating < PLIES.min || plyRating > PLIES.max)) {
    return fail({ code: 'plyRatingOutOfRange', plyRating, ...PLIES });
  }
  const loadRange = parts.loadRange as LoadRange | undefined;
  return {
    ok: true,
    value: {
      ...base,
      ...(service && { service }),
      ...(loadRange && { loadRange }),
      ...(plyRating !== undefined && { plyRating }),
      ...(parts.stars && { stars: parts.stars.length }),
      ...(parts.extraLoad && { extraLoad: true as const }),
      ...(parts.notHighway && { notHighway: true as const }),
    },
  };
}

function readService(parts: Parts): ServiceDescription | MarkingProblem | null {
  if (parts.loadIndex === undefined || parts.speedSymbol === undefined) return null;
  const first = rated(parts.loadIndex, parts.speedSymbol);
  if ('code' in first) return first;
  const { loadIndex } = first;
  const dualLoadIndex = parts.dualLoadIndex === undefined ? undefined : Number(parts.dualLoadIndex);
  // A pair carries less on each tire than one alone (Tire and Rim Association practice), never more.
  if (dualLoadIndex !== undefined && dualLoadIndex > loadIndex) {
    return { code: 'dualAboveSingle', loadIndex, dualLoadIndex };
  }
  const single = { ...first, ...(dualLoadIndex !== undefined && { dualLoadIndex }) };
  if (parts.fasterSymbol === undefined) return single;
  // `159A8/B` is short for `159A8/159B`.
  const faster = rated(parts.fasterIndex ?? parts.loadIndex, parts.fasterSymbol);
  if ('code' in faster) return faster;
  if (speedSymbolKmh(faster.speedSymbol) <= speedSymbolKmh(first.speedSymbol)) {
    return { code: 'fasterIsSlower', speedSymbol: first.speedSymbol, fasterSymbol: faster.speedSymbol };
  }
  return { ...single, faster };
}

function rated(index: string, symbol: string): RatedService | MarkingProblem {
  const loadIndex = Number(index);
  if (loadIndex > MAX_LOAD_INDEX) return { code: 'unknownLoadIndex', loadIndex, max: MAX_LOAD_INDEX };
  return isSpeedSymbol(symbol) ? { loadIndex, speedSymbol: symbol } : { code: 'unknownSpeedSymbol', symbol };
}

/** Writes what `SERVICE_PATTERN` reads, with its leading blank. */
export function writeService({ service, loadRange, plyRating, stars, extraLoad, notHighway }: Tire): string {
  const ends: string[] = [];
  if (service) {
    const { loadIndex, dualLoadIndex, speedSymbol, faster } = service;
    const dual = dualLoadIndex === undefined ? '' : `/${dualLoadIndex}`;
    const fasterIndex = faster && faster.loadIndex !== loadIndex ? faster.loadIndex : '';
    ends.push(`${loadIndex}${dual}${speedSymbol}${faster ? `/${fasterIndex}${faster.speedSymbol}` : ''}`);
  }
  if (plyRating !== undefined) ends.push(`${plyRating}PR`);
  if (stars !== undefined) ends.push('*'.repeat(stars));
  if (loadRange) ends.push(loadRange);
  if (extraLoad) ends.push('XL');
  if (notHighway) ends.push('NHS');
  return ends.map((end) => ` ${end}`).join('');
}
