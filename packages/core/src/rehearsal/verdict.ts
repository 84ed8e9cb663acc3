import { STANDARD_GRAVITY } from '../units/units';
import { PACES } from './drive';
import { PLACES, type Choice, type Expected, type Scene } from './scene';

/** A choice held against the others, by what could be known when it was made. */
export interface Verdict {
  /** Which of the choices costs the least on average. */
  readonly best: number;
  /** Min, more than that one; 0 where nothing that could be told apart. */
  readonly costsMin: number;
  /** How it went this once, beside how it goes: only where the two part. */
  readonly luck: 'lucky' | 'unlucky' | null;
}

/** Less than this is no difference: so many places tell no finer. Assumption. */
const NO_DIFFERENCE = { min: 2, share: 0.15 };
/** Less often than this it would not have been expected. */
const SELDOM = 0.34;

/**
 * Judges a choice.
 *
 * @param expected what each choice comes to, in their order
 * @param halted whether this one came to a halt, this once; null where nothing was driven
 */
export function verdictOn(expected: readonly Expected[], chosen: number, halted: boolean | null): Verdict {
  const best = expected.reduce((least, { minutes }, index) => (minutes < expected[least]!.minutes ? index : least), 0);
  const moreMin = expected[chosen]!.minutes - expected[best]!.minutes;
  const tells = moreMin > Math.max(NO_DIFFERENCE.min, NO_DIFFERENCE.share * expected[best]!.minutes);
  const often = expected[chosen]!.halted;
  const luck =
    halted === null ? null : halted && often < SELDOM ? 'unlucky' : !halted && often > 1 - SELDOM ? 'lucky' : null;
  return { best, costsMin: tells ? moreMin : 0, luck };
}

/** The choice that is played beside: the one that costs the least of the others that are driven. */
export function twinOf(choices: readonly Choice[], expected: readonly Expected[], chosen: number): number | null {
  const drives = ({ code }: Choice): boolean => code !== 'around' && code !== 'help' && code !== 'backOut';
  const others = choices.flatMap((choice, index) => (index !== chosen && drives(choice) ? [index] : []));
  if (others.length === 0 || !drives(choices[chosen]!)) return null;
  return others.reduce((least, index) => (expected[index]!.minutes < expected[least]!.minutes ? index : least));
}

/** Of so many places, how many: what a share of them is told as. */
export const ofPlaces = (share: number): { readonly count: number; readonly of: number } => ({
  count: Math.round(share * PLACES),
  of: PLACES,
});

/** The one thing that made the difference on this place, with its number. */
export type Mechanism =
  /** One spun and dug; the other less. */
  | { readonly code: 'spun'; readonly spunS: number; readonly dugMm: number; readonly otherDugMm: number }
  | { readonly code: 'spared'; readonly otherSpunS: number; readonly dugMm: number; readonly otherDugMm: number }
  /** How deep the first wheels sank while they rolled. */
  | { readonly code: 'sank'; readonly sinkMm: number; readonly otherSinkMm: number }
  /** How high its speed alone carries it, m. */
  | { readonly code: 'speed'; readonly heightM: number; readonly mine: boolean }
  /** Both went the same way. */
  | { readonly code: 'same' };

/** Dug deeper by less than this is the same, m. */
const SAME_DUG_M = 0.01;

/**
 * What parted two runs of one place.
 *
 * @returns null where one of them was not driven
 */
export function mechanismOf(mine: Scene, other: Scene): Mechanism | null {
  if (!mine.run || !other.run) return null;
  const [own, twin] = [mine.run, other.run];
  const mm = (m: number): number => 1000 * m;
  if (own.end === twin.end && own.end === 'through') return { code: 'same' };
  if (mine.pace !== other.pace && (mine.pace === 'runUp' || other.pace === 'runUp')) {
    return { code: 'speed', heightM: PACES.runUp.wheelMs ** 2 / 2 / STANDARD_GRAVITY, mine: mine.pace === 'runUp' };
  }
  if (own.spunS > 0.3 && own.dugM > twin.dugM + SAME_DUG_M) {
    return { code: 'spun', spunS: own.spunS, dugMm: mm(own.dugM), otherDugMm: mm(twin.dugM) };
  }
  if (twin.spunS > 0.3 && twin.dugM > own.dugM + SAME_DUG_M) {
    return { code: 'spared', otherSpunS: twin.spunS, dugMm: mm(own.dugM), otherDugMm: mm(twin.dugM) };
  }
  return own.end === twin.end && Math.abs(own.sinkM - twin.sinkM) < SAME_DUG_M
    ? { code: 'same' }
    : { code: 'sank', sinkMm: mm(own.sinkM), otherSinkMm: mm(twin.sinkM) };
}
