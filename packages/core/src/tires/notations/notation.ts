import type { Result } from '../../result';
import { inch } from '../../units/units';
import { MAX_LOAD_INDEX } from '../loadIndex';
import type { LoadRange } from '../loadRange';
import { isSpeedSymbol } from '../speedSymbol';
import { outerDiameterMm, type Construction, type ServiceDescription, type Tire } from '../tire';

/** Why a marking can't be read. Numbers are in the unit of their name; the sentence is made by the interface. */
export type MarkingProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'unknownNotation'; readonly examples: readonly string[] }
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
  | { readonly code: 'dualAboveSingle'; readonly loadIndex: number; readonly dualLoadIndex: number };

/**
 * One way of writing a tire size. A new notation is a file beside this one and a line in `readMarking.ts`.
 * `read` answers null for a text that is not in this notation at all; `write` gives a text that reads back as the same tire.
 */
export interface Notation {
  readonly code: Tire['notation'];
  readonly example: string;
  read(text: string): Result<Tire, MarkingProblem> | null;
  write(tire: Tire): string;
}

// What a car or light truck can wear, wide enough for every real one: an assumption, to catch slips of the hand.
const SECTION_MM = { min: 100, max: 455 };
const ASPECT_PERCENT = { min: 25, max: 120 };
const RIM_INCH = { min: 10, max: 26 };
const OUTER_MM = { min: 400, max: 1400 };

/**
 * The end that all notations share: `116T`, `121/118Q`, and a load range letter. Text, not a regular expression:
 * the build strips the group names from the source of a literal.
 */
export const SERVICE_PATTERN = String.raw`(?:\s*(?<loadIndex>\d{2,3})(?:/(?<dualLoadIndex>\d{2,3}))?\s*(?<speedSymbol>[A-Z]\d?))?(?:\s+(?:LR\s*)?(?<loadRange>[B-F]))?$`;

const CONSTRUCTIONS: Record<string, Construction> = { R: 'radial', D: 'bias', '-': 'bias', B: 'belted' };
const CONSTRUCTION_LETTERS: Record<Construction, string> = { radial: 'R', bias: '-', belted: 'B' };

export const readConstruction = (letter: string): Construction => CONSTRUCTIONS[letter]!;
export const writeConstruction = (tire: Tire): string => CONSTRUCTION_LETTERS[tire.construction];

/** Checks the parts that every notation has, and puts the tire together. */
export function finishTire(
  base: Omit<Tire, 'service' | 'loadRange'>,
  parts: Record<string, string | undefined>,
): Result<Tire, MarkingProblem> {
  const fail = (problem: MarkingProblem): Result<Tire, MarkingProblem> => ({ ok: false, problem });
  const { sectionWidthMm, aspectPercent } = base;
  if (sectionWidthMm < SECTION_MM.min || sectionWidthMm > SECTION_MM.max) {
    return fail({ code: 'sectionWidthOutOfRange', sectionWidthMm, minMm: SECTION_MM.min, maxMm: SECTION_MM.max });
  }
  if (aspectPercent < ASPECT_PERCENT.min || aspectPercent > ASPECT_PERCENT.max) {
    return fail({ code: 'aspectOutOfRange', aspectPercent, ...ASPECT_PERCENT });
  }
  const rimInch = base.rimDiameterMm / inch(1);
  if (rimInch < RIM_INCH.min || rimInch > RIM_INCH.max) {
    return fail({ code: 'rimOutOfRange', rimInch, minInch: RIM_INCH.min, maxInch: RIM_INCH.max });
  }
  const outer = outerDiameterMm(base);
  if (outer < OUTER_MM.min || outer > OUTER_MM.max) {
    return fail({ code: 'outerDiameterOutOfRange', outerDiameterMm: outer, minMm: OUTER_MM.min, maxMm: OUTER_MM.max });
  }

  const service = readService(parts);
  if (service && 'code' in service) return fail(service);
  const loadRange = parts.loadRange as LoadRange | undefined;
  return { ok: true, value: { ...base, ...(service && { service }), ...(loadRange && { loadRange }) } };
}

function readService(parts: Record<string, string | undefined>): ServiceDescription | MarkingProblem | undefined {
  if (parts.loadIndex === undefined || parts.speedSymbol === undefined) return undefined;
  const loadIndex = Number(parts.loadIndex);
  const dualLoadIndex = parts.dualLoadIndex === undefined ? undefined : Number(parts.dualLoadIndex);
  const symbol = parts.speedSymbol;
  if (loadIndex > MAX_LOAD_INDEX) return { code: 'unknownLoadIndex', loadIndex, max: MAX_LOAD_INDEX };
  if (!isSpeedSymbol(symbol)) return { code: 'unknownSpeedSymbol', symbol };
  if (dualLoadIndex === undefined) return { loadIndex, speedSymbol: symbol };
  // A pair carries less on each tire than one alone (Tire and Rim Association practice), never more.
  if (dualLoadIndex > loadIndex) return { code: 'dualAboveSingle', loadIndex, dualLoadIndex };
  return { loadIndex, dualLoadIndex, speedSymbol: symbol };
}

/** Writes what `SERVICE_PATTERN` reads, with its leading blank. */
export function writeService({ service, loadRange }: Tire): string {
  const dual = service?.dualLoadIndex === undefined ? '' : `/${service.dualLoadIndex}`;
  const described = service ? ` ${service.loadIndex}${dual}${service.speedSymbol}` : '';
  return described + (loadRange ? ` ${loadRange}` : '');
}
