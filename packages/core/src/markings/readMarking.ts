import { failure, type Result } from '../result/result';
import { bicycleFrench } from './bicycleFrench';
import { bicycleInch } from './bicycleInch';
import { bicycleIso } from './bicycleIso';
import { farmInch } from './farmInch';
import { farmMetric } from './farmMetric';
import { flotation } from './flotation';
import { fullProfileMetric } from './fullProfileMetric';
import { metric } from './metric';
import { motorcycleInch } from './motorcycleInch';
import { motorcycleMetric } from './motorcycleMetric';
import type { MarkingProblem, Notation } from './notation';
import { numeric } from './numeric';
import { quad } from './quad';
import { readSidewallText } from './sidewallText';
import { spokenSize } from './spokenSize';
import type { Tire } from '../tires/tire';

/** Every notation that can be read, tried in this order: where two could read a text, the first is the likelier. */
export const NOTATIONS: readonly Notation[] = [
  metric,
  fullProfileMetric,
  motorcycleMetric,
  farmMetric,
  quad,
  flotation,
  farmInch,
  motorcycleInch,
  numeric,
  bicycleIso,
  bicycleFrench,
  bicycleInch,
];

/** What else is moulded beside a size and says nothing about it. */
const BESIDE_THE_SIZE = / (TL|TT|TUBELESS|TUBE TYPE|M\+S|REINFORCED)(?= |$)/g;

/** Capitals, one kind of multiplication sign, dash and star, single blanks: what a hurried hand varies. */
const tidy = (text: string): string =>
  readSidewallText(text)
    .marking.trim()
    .toUpperCase()
    .replace(/×/g, 'X')
    .replace(/(?<=\d)\s*\*\s*(?=\d)/g, 'X')
    .replace(/★/g, '*')
    .replace(/[‐‑‒–—]/g, '-')
    .replace(/,/g, '.')
    .replace(/\s+/g, ' ')
    .replace(BESIDE_THE_SIZE, '');

/**
 * Reads a size off a sidewall, of any family, with load index, speed symbol, plies, stars and load range where they
 * follow; or a size as people say it.
 *
 * @example readMarking('lt285/70r17 121/118q e') // { ok: true, value: { use: 'lightTruck', sectionWidthMm: 285, … } }
 * @example readMarking('265 70 17') // as it is said: the tire of 265/70R17
 * @example readMarking('big ones') // { ok: false, problem: { code: 'unknownNotation' } }
 */
export function readMarking(text: string): Result<Tire, MarkingProblem> {
  const tidied = tidy(text);
  if (tidied === '') return failure({ code: 'empty' });
  for (const notation of NOTATIONS) {
    const reading = notation.read(tidied);
    if (reading) return reading;
  }
  const spoken = spokenSize(tidied);
  if (!spoken) return failure({ code: 'unknownNotation' });
  return spoken.code === 'marking' ? readMarking(spoken.marking) : failure(spoken);
}

/** The marking of a tire in its own notation. Reading it gives the same tire again. */
export function writeMarking(tire: Tire): string {
  return NOTATIONS.find(({ code }) => code === tire.notation)!.write(tire);
}
