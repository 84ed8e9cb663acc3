import { loadIndexKg, readMarking, speedSymbolKmh, type MarkingProblem, type Tire } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { mass, speed } from './format';

/** What a marking says, read back: for the person to hold against the sidewall. */
export function tireInWords(tire: Tire, units: Units): string {
  const parts = [
    `section ${tire.sectionWidthMm.toFixed(0)}\u00a0mm`,
    tire.notation === 'numeric'
      ? 'sidewall taken as high as the section is wide'
      : `sidewall ${tire.aspectPercent.toFixed(0)}\u00a0%`,
    `${Number((tire.rimDiameterMm / 25.4).toFixed(1))}\u00a0in rim`,
    ...(tire.construction === 'radial' ? [] : [tire.construction]),
  ];
  const { service, loadRange } = tire;
  if (service) {
    parts.push(`carries ${mass(loadIndexKg(service.loadIndex)!, units)} alone`);
    if (service.dualLoadIndex !== undefined)
      parts.push(`${mass(loadIndexKg(service.dualLoadIndex)!, units)} as one of a pair`);
    parts.push(`up to ${speed(speedSymbolKmh(service.speedSymbol))}`);
  }
  if (loadRange) parts.push(`load range ${loadRange}`);
  return parts.join(', ');
}

export const MARKING_EXAMPLES = '245/75R16 111T, LT285/70R17 121/118Q E, 35x12.50R17LT or 7.50R16';

/** Why a marking can't be read, what is expected, and an example. */
export function markingProblemText(problem: MarkingProblem): string {
  switch (problem.code) {
    case 'empty':
      return `Copy the size off the sidewall, like ${MARKING_EXAMPLES}.`;
    case 'unknownNotation':
      return `This can't be read as a size. Copy it as on the sidewall, like ${MARKING_EXAMPLES}.`;
    case 'sectionWidthOutOfRange':
      return `A section width of ${problem.sectionWidthMm.toFixed(0)} mm can't be: expected ${problem.minMm} to ${problem.maxMm} mm, like the 245 in 245/75R16.`;
    case 'aspectOutOfRange':
      return `A sidewall of ${problem.aspectPercent.toFixed(0)} % can't be: expected ${problem.min} to ${problem.max} %, like the 75 in 245/75R16.`;
    case 'rimOutOfRange':
      return `A ${problem.rimInch.toFixed(0)} in rim can't be: expected ${problem.minInch} to ${problem.maxInch} in, like the 16 in 245/75R16.`;
    case 'outerDiameterOutOfRange':
      return `These numbers make a tire ${problem.outerDiameterMm.toFixed(0)} mm high: expected ${problem.minMm} to ${problem.maxMm} mm. Check each against the sidewall.`;
    case 'unknownLoadIndex':
      return `There is no load index ${problem.loadIndex}: expected 0 to ${problem.max}, like the 111 in 111T.`;
    case 'unknownSpeedSymbol':
      return `There is no speed symbol ${problem.symbol}: expected a letter such as Q, S, T or H after the load index.`;
    case 'dualAboveSingle':
      return `A pair can't carry more on each tire than one alone: expected the larger first, like 121/118Q.`;
  }
}

/** What to show under a marking while it is typed: read back in words, or the problem. */
export function readBack(text: string, units: Units): { readonly ok: boolean; readonly text: string } {
  const reading = readMarking(text);
  return reading.ok
    ? { ok: true, text: tireInWords(reading.value, units) }
    : { ok: false, text: markingProblemText(reading.problem) };
}
