import { tukeyCdf } from './tukey';

/** All runs at one pressure. */
export interface Level {
  readonly pressureKpa: number;
  readonly values: readonly number[];
  readonly mean: number;
}

/** A gauge does not tell pressures apart that lie closer than this, kPa. Assumption: a quarter of a psi. */
const ALIKE_KPA = 1.7;

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Runs put together by pressure, firmest first. */
export function levelsOf(runs: readonly { readonly kpa: number; readonly value: number }[]): Level[] {
  const groups: { kpa: number; values: number[] }[] = [];
  for (const { kpa, value } of [...runs].sort((a, b) => b.kpa - a.kpa)) {
    const last = groups.at(-1);
    if (last && last.kpa - kpa <= ALIKE_KPA) last.values.push(value);
    else groups.push({ kpa, values: [value] });
  }
  return groups.map(({ kpa, values }) => ({ pressureKpa: kpa, values, mean: mean(values) }));
}

export interface Spread {
  /** Standard deviation of one run about its level. */
  readonly deviation: number;
  readonly freedom: number;
}

/** How far runs at one pressure lie apart, over all pressures; null until one pressure has been repeated. Exact. */
export function spreadOf(levels: readonly Level[]): Spread | null {
  const freedom = levels.reduce((sum, { values }) => sum + values.length - 1, 0);
  if (freedom === 0) return null;
  const squares = levels.reduce(
    (sum, level) => sum + level.values.reduce((inner, value) => inner + (value - level.mean) ** 2, 0),
    0,
  );
  return { deviation: Math.sqrt(squares / freedom), freedom };
}

export interface Comparison {
  readonly best: Level;
  readonly next: Level | null;
  /**
   * How sure it is that the best is better than the next, 0 to 1: one less the chance that so many equal pressures would
   * show such a gap. Null until a pressure has been repeated.
   */
  readonly sure: number | null;
}

/** Less sure than this, and a difference is no difference. Assumption. */
export const SURE = 0.9;

/**
 * The best level, and how sure that is against the one after it. The best is picked after the fact, so its lead is held
 * against the studentised range of all levels (Tukey; two-sided): of two equal pressures it tells apart one pair in ten.
 * Exact for as many runs at each pressure.
 */
export function compareLevels(levels: readonly Level[], better: 'more' | 'less'): Comparison | null {
  const sign = better === 'more' ? 1 : -1;
  const [best, next] = [...levels].sort((a, b) => sign * (b.mean - a.mean));
  if (!best) return null;
  const spread = spreadOf(levels);
  if (!next || !spread) return { best, next: next ?? null, sure: null };
  const apart = Math.abs(best.mean - next.mean);
  const error = spread.deviation * Math.sqrt(1 / best.values.length + 1 / next.values.length);
  if (error === 0) return { best, next, sure: apart > 0 ? 1 : 0 };
  return { best, next, sure: tukeyCdf((Math.SQRT2 * apart) / error, levels.length, spread.freedom) };
}
