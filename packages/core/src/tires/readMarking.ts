import { failure, type Result } from '../result';
import { flotation } from './notations/flotation';
import { metric } from './notations/metric';
import type { MarkingProblem, Notation } from './notations/notation';
import { numeric } from './notations/numeric';
import type { Tire } from './tire';

/** Every notation that can be read, tried in this order. */
export const NOTATIONS: readonly Notation[] = [metric, flotation, numeric];

/** Capitals, one kind of multiplication sign and dash, single blanks: what a hurried hand varies. */
const tidy = (text: string): string =>
  text
    .trim()
    .toUpperCase()
    .replace(/[×*]/g, 'X')
    .replace(/[‐‑‒–—]/g, '-')
    .replace(/,/g, '.')
    .replace(/\s+/g, ' ');

/**
 * Reads a car or light-truck size off a sidewall, with load index, speed symbol and load range where they follow.
 *
 * @example readMarking('lt285/70r17 121/118q e') // { ok: true, value: { use: 'lightTruck', sectionWidthMm: 285, … } }
 * @example readMarking('big ones') // { ok: false, problem: { code: 'unknownNotation', examples: […] } }
 */
export function readMarking(text: string): Result<Tire, MarkingProblem> {
  const tidied = tidy(text);
  if (tidied === '') return failure({ code: 'empty' });
  for (const notation of NOTATIONS) {
    const reading = notation.read(tidied);
    if (reading) return reading;
  }
  return failure({ code: 'unknownNotation', examples: NOTATIONS.map(({ example }) => example) });
}

/** The marking of a tire in its own notation. Reading it gives the same tire again. */
export function writeMarking(tire: Tire): string {
  return NOTATIONS.find(({ code }) => code === tire.notation)!.write(tire);
}
