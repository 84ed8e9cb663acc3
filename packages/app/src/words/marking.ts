import {
  loadIndexKg,
  plyRatingOf,
  readMarking,
  speedSymbolKmh,
  type Casing,
  type Family,
  type MarkingProblem,
  type SizeKnown,
  type SizePart,
  type Tire,
} from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { mass, speed } from './format';

/** Tires whose height the size does not name: what is taken instead. */
const HEIGHT_TAKEN: Partial<Record<Tire['notation'], string>> = {
  numeric: 'sidewall taken as high as the section is wide',
  motorcycleInch: 'sidewall taken as high as the section is wide',
  fullProfileMetric: 'sidewall taken as 82\u00a0%',
};

const ply = (count: number): string => `${count} ply`;

/** What a marking says, read back: for the person to hold against the sidewall. */
export function tireInWords(tire: Tire, units: Units): string {
  const { service, loadRange, stars, flexion, cyclicField, extraLoad, notHighway } = tire;
  const parts =
    tire.use === 'bicycle'
      ? [
          `${tire.sectionWidthMm.toFixed(0)}\u00a0mm wide by its name`,
          `${tire.rimDiameterMm}\u00a0mm bead seat (${rimName(tire)})`,
        ]
      : [
          `section ${tire.sectionWidthMm.toFixed(0)}\u00a0mm`,
          HEIGHT_TAKEN[tire.notation] ?? `sidewall ${tire.aspectPercent.toFixed(0)}\u00a0%`,
          `${Number((tire.rimDiameterMm / 25.4).toFixed(1))}\u00a0in rim`,
          ...(tire.construction === 'radial' ? [] : [tire.construction]),
        ];
  if (flexion) parts.push(flexion);
  if (cyclicField) parts.push('for cyclic field work');
  if (service) {
    const { loadIndex, dualLoadIndex, speedSymbol, faster } = service;
    const alone = dualLoadIndex === undefined ? '' : ' alone';
    parts.push(
      `carries ${mass(loadIndexKg(loadIndex)!, units)}${alone} at ${speed(speedSymbolKmh(speedSymbol), units)}`,
    );
    if (dualLoadIndex !== undefined) parts.push(`${mass(loadIndexKg(dualLoadIndex)!, units)} as one of a pair`);
    if (faster) {
      parts.push(
        `${mass(loadIndexKg(faster.loadIndex)!, units)} at ${speed(speedSymbolKmh(faster.speedSymbol), units)}`,
      );
    }
  }
  if (loadRange) parts.push(`load range ${loadRange}`);
  const plies = plyRatingOf(tire);
  if (plies !== null && !loadRange)
    parts.push(tire.use === 'quad' && stars ? `${stars} stars, ${ply(plies)}` : ply(plies));
  if (stars && tire.use !== 'quad') parts.push(stars === 1 ? 'one star' : `${stars} stars`);
  if (extraLoad) parts.push('extra load');
  if (notHighway) parts.push('not for highway service');
  return parts.join(', ');
}

const RIM_NAMES: Readonly<Record<number, string>> = {
  406: '20 in',
  507: '24 in',
  559: '26 in',
  584: '27.5 in, 650B',
  622: '29 in, 28 in, 700C',
};
const rimName = (tire: Tire): string => RIM_NAMES[tire.rimDiameterMm] ?? 'an older size';

/** What the casing of a bicycle tire is called. */
export const CASING_WORDS: Record<Casing, string> = { thin: 'Thin', medium: 'Medium', downhill: 'Downhill' };

/** Example markings, by the kind of tire. */
export const MARKING_EXAMPLES: Record<Family['kind'], string> = {
  car: '245/75R16 111T, LT285/70R17 121/118Q E, 35x12.50R17LT or 7.50R16',
  quad: 'AT25x8-12, 30x10R15 or 27x9.00-14 8PR',
  motorcycle: '90/90-21 54S, 150/70R18 70V or 4.60-18',
  bicycle: '29x2.40, 27.5x2.8, 700x42C or 57-584',
  farm: 'VF380/90R46 173D, 480/80R50 159A8/B, 18.4R38 or 600/50-22.5',
};

/** Why a marking can't be read, what is expected, and an example. */
export function markingProblemText(problem: MarkingProblem, kind: Family['kind'] = 'car'): string {
  switch (problem.code) {
    case 'empty':
      return `Copy the size off the sidewall, like ${MARKING_EXAMPLES[kind]}.`;
    case 'unknownNotation':
      return `This can't be read as a size. Copy it as on the sidewall, like ${MARKING_EXAMPLES[kind]}.`;
    case 'sizeIncomplete':
      return `${knownText(problem.known)} Add ${problem.missing.map((part) => MISSING_PART[part]).join(' and ')}.`;
    case 'sectionWidthOutOfRange':
      return `A section width of ${problem.sectionWidthMm.toFixed(0)} mm can't be: expected ${problem.minMm} to ${problem.maxMm} mm.`;
    case 'aspectOutOfRange':
      return `A sidewall of ${problem.aspectPercent.toFixed(0)} % can't be: expected ${problem.min} to ${problem.max} %, like the 75 in 245/75R16.`;
    case 'rimOutOfRange':
      return `A ${problem.rimInch.toFixed(0)} in rim can't be: expected ${problem.minInch} to ${problem.maxInch} in.`;
    case 'outerDiameterOutOfRange':
      return `These numbers make a tire ${problem.outerDiameterMm.toFixed(0)} mm high: expected ${problem.minMm} to ${problem.maxMm} mm. Check each against the sidewall.`;
    case 'unknownLoadIndex':
      return `There is no load index ${problem.loadIndex}: expected 0 to ${problem.max}, like the 111 in 111T.`;
    case 'unknownSpeedSymbol':
      return `There is no speed symbol ${problem.symbol}: expected a letter such as Q, S, T or H after the load index.`;
    case 'dualAboveSingle':
      return `A pair can't carry more on each tire than one alone: expected the larger first, like 121/118Q.`;
    case 'fasterIsSlower':
      return `The second rating is for a higher speed: ${problem.fasterSymbol} is none above ${problem.speedSymbol}. Expected something like 159A8/B.`;
    case 'plyRatingOutOfRange':
      return `${problem.plyRating} plies can't be: expected ${problem.min} to ${problem.max}, like the 8 in 8PR.`;
    case 'fractionalWidth':
      return 'A width with a fraction is another rim than one with a decimal. Type the two numbers with the dash instead, like 37-590: they stand beside it.';
    case 'rimLetterMissing':
      return `Which rim? Add the letter (${problem.letters.join(', ')}), as in 650x47B.`;
    case 'unknownBeadSeat':
      return `There is no rim of ${problem.beadSeatMm} mm. Expected one of ISO 5775 behind the dash, like 559, 584 or 622.`;
  }
}

const MISSING_PART: Record<SizePart, string> = {
  outer: 'the outer diameter in inches',
  width: 'the width in inches, like the 12.50 in 35x12.50R17',
  aspect: 'the sidewall, like the 70 in 265/70R17',
  rim: 'the rim in inches, like the 17 in 265/70R17',
};

/** What was understood of a size that was said. */
function knownText({ outerInch, widthInch, widthMm, aspectPercent }: SizeKnown): string {
  const parts = [
    ...(outerInch === undefined ? [] : [`${outerInch} in high`]),
    ...(widthInch === undefined ? [] : [`${widthInch} in wide`]),
    ...(widthMm === undefined ? [] : [`${widthMm} mm wide`]),
    ...(aspectPercent === undefined ? [] : [`sidewall ${aspectPercent} %`]),
  ];
  return `${parts.join(', ')}: understood so far.`;
}

/** What to show under a marking while it is typed: read back in words, or the problem. */
export function readBack(
  text: string,
  units: Units,
  kind: Family['kind'] = 'car',
): { readonly ok: boolean; readonly text: string } {
  const reading = readMarking(text);
  return reading.ok
    ? { ok: true, text: tireInWords(reading.value, units) }
    : { ok: false, text: markingProblemText(reading.problem, kind) };
}
