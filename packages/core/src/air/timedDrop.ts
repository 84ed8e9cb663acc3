import { assumption, measured, type Source } from '../sources/source';
import { drainTau, fallPerTauKpa } from './deflate';

/** One wheel that was timed while air went out: pressures before and after, and how long it was open. */
export interface TimedDrop {
  readonly volumeL: number;
  readonly beforeKpa: number;
  readonly afterKpa: number;
  readonly seconds: number;
  readonly outsideKpaAbs: number;
  /** How well the gauge was read, kPa: one standard deviation. */
  readonly readingKpa: number;
}

/** How well a thumb starts and stops a clock, s: one standard deviation. Assumption. */
export const TIMING_S = 0.7;

/** How well the size on a sidewall tells one tire's volume against another's: one standard deviation. Assumption. */
export const VOLUME_SPREAD = 0.01;

/** What is known of a tool's rate before anything was timed: give or take half. Assumption. */
export const UNTIMED_SPREAD = 0.5;

/** How fast a tool lets air through, and how well that is known. */
export interface Rate {
  /** Liters of the air inside, a second, while choked: see `conductanceLPerS`. */
  readonly conductanceLPerS: number;
  /** Standard error over it. */
  readonly relativeError: number;
  readonly timed: number;
  readonly source: Source;
}

export type DropProblem =
  | { readonly code: 'roseWhileLettingOut'; readonly beforeKpa: number; readonly afterKpa: number }
  | { readonly code: 'noTime' }
  | { readonly code: 'nothingLeft' };

/** Far below what any gauge shows, kPa. */
const DUST_KPA = 0.01;

/** Why a drop tells nothing of a rate; null where it does. */
export function dropProblem({ beforeKpa, afterKpa, seconds }: TimedDrop): DropProblem | null {
  if (!(seconds > 0)) return { code: 'noTime' };
  if (afterKpa > beforeKpa - DUST_KPA) return { code: 'roseWhileLettingOut', beforeKpa, afterKpa };
  return afterKpa < DUST_KPA ? { code: 'nothingLeft' } : null;
}

/**
 * The rate that one timed drop tells, with its uncertainty: exact for the drop itself, first order for the errors of
 * gauge and thumb.
 *
 * @param drop one without a `dropProblem`
 * @example 60 L from 248.2 to 110.3 kPa in 60 s at sea level: 60·0.4614/60 = 0.461 L/s
 */
export function rateOf(drop: TimedDrop): Pick<Rate, 'conductanceLPerS' | 'relativeError'> {
  const { volumeL, beforeKpa, afterKpa, seconds, outsideKpaAbs, readingKpa } = drop;
  const tau = drainTau(beforeKpa, afterKpa, outsideKpaAbs);
  const tauError = Math.hypot(
    readingKpa / fallPerTauKpa(beforeKpa, outsideKpaAbs),
    readingKpa / fallPerTauKpa(afterKpa, outsideKpaAbs),
  );
  return {
    conductanceLPerS: (volumeL * tau) / seconds,
    relativeError: Math.hypot(tauError / tau, TIMING_S / seconds, VOLUME_SPREAD),
  };
}

/**
 * A tool's rate from what is commonly known of it and every drop that was timed with it: the mean of their logarithms,
 * each by its own certainty. Where the drops scatter more than their errors explain, the answer is as unsure as they
 * are.
 */
export function rateFrom(usualLPerS: number, drops: readonly TimedDrop[]): Rate {
  const usable = drops.filter((drop) => dropProblem(drop) === null);
  const told = usable.map((drop) => {
    const { conductanceLPerS, relativeError } = rateOf(drop);
    return { log: Math.log(conductanceLPerS), weight: 1 / relativeError ** 2 };
  });
  const all = [...told, { log: Math.log(usualLPerS), weight: 1 / UNTIMED_SPREAD ** 2 }];
  const weight = all.reduce((sum, each) => sum + each.weight, 0);
  const log = all.reduce((sum, each) => sum + each.weight * each.log, 0) / weight;
  const scatter =
    told.length > 1 ? told.reduce((sum, each) => sum + each.weight * (each.log - log) ** 2, 0) / (told.length - 1) : 1;
  return {
    conductanceLPerS: Math.exp(log),
    relativeError: Math.sqrt(Math.max(1, scatter) / weight),
    timed: usable.length,
    source: usable.length > 0 ? measured : assumption,
  };
}
