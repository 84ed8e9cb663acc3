import type { OutTool } from '../tools/airTool';
import { drainTau, pressureAfterTau } from './deflate';
import type { Rate } from './timedDrop';
import type { WheelRef } from './wheel';

/** A wheel that air is let out of. Gauge pressures. */
export interface DrainWheel extends WheelRef {
  readonly volumeL: number;
  readonly fromKpa: number;
  readonly toKpa: number;
  /** From the wheel before it, s. */
  readonly walkS: number;
}

export interface DrainedWheel extends WheelRef {
  readonly startS: number;
  /** Air going out, s. */
  readonly openS: number;
  readonly endS: number;
}

export interface DrainPlan {
  readonly wheels: readonly DrainedWheel[];
  /** Walking, screwing and reading included, s. */
  readonly totalS: number;
  /** How well the time is known, as one standard error over it. */
  readonly relativeError: number;
}

/** A closing deflator is done when it is this near to what it was set to, kPa. Assumption: half a psi. */
const NEAR_ENOUGH_KPA = 3.4;

/** How long one wheel stands open, s. Exact for a hole; the closing stretch of a preset deflator is an exponential. */
export function openSeconds(
  { closingKpa }: Pick<OutTool, 'closingKpa'>,
  conductance: number,
  { volumeL, fromKpa, toKpa }: Pick<DrainWheel, 'volumeL' | 'fromKpa' | 'toKpa'>,
  outsideKpaAbs: number,
): number {
  const tauS = volumeL / conductance;
  if (closingKpa === null) return tauS * drainTau(fromKpa, toKpa, outsideKpaAbs);
  const closes = Math.min(fromKpa, toKpa + closingKpa);
  // The opening shrinks with what is left above the target: dp/dt = −p/τ·(p − target)/closing.
  const fading =
    closes > toKpa + NEAR_ENOUGH_KPA
      ? (closingKpa / (toKpa + outsideKpaAbs)) * Math.log((closes - toKpa) / NEAR_ENOUGH_KPA)
      : 0;
  return tauS * (drainTau(fromKpa, closes, outsideKpaAbs) + fading);
}

/** What a wheel has after standing open for so long, kPa gauge: `openSeconds` turned round. */
export function pressureWhileOpenKpa(
  { closingKpa }: Pick<OutTool, 'closingKpa'>,
  conductance: number,
  { volumeL, fromKpa, toKpa }: Pick<DrainWheel, 'volumeL' | 'fromKpa' | 'toKpa'>,
  seconds: number,
  outsideKpaAbs: number,
): number {
  const tauS = volumeL / conductance;
  if (closingKpa === null) return pressureAfterTau(fromKpa, seconds / tauS, outsideKpaAbs);
  const closes = Math.min(fromKpa, toKpa + closingKpa);
  const openS = tauS * drainTau(fromKpa, closes, outsideKpaAbs);
  return seconds <= openS
    ? pressureAfterTau(fromKpa, seconds / tauS, outsideKpaAbs)
    : toKpa + (closes - toKpa) * Math.exp((-(seconds - openS) * (toKpa + outsideKpaAbs)) / (tauS * closingKpa));
}

/**
 * Letting every wheel down with one tool, in walking order, walking and reading included. A tool that stops by itself is
 * left on the wheel while the next is put on; hoses go down together; all else is one wheel after the other.
 *
 * @param wheelsAtOnce how many of it there are: deflators in the bag, hoses on the manifold
 */
export function drainPlan(
  tool: OutTool,
  rate: Pick<Rate, 'conductanceLPerS' | 'relativeError'>,
  wheels: readonly DrainWheel[],
  outsideKpaAbs: number,
  wheelsAtOnce: number = tool.wheelsAtOnce,
): DrainPlan {
  const open = wheels.map((wheel) => openSeconds(tool, rate.conductanceLPerS, wheel, outsideKpaAbs));
  const done: DrainedWheel[] = [];
  const checkS = tool.checks * tool.checkS;
  let clock = 0;
  if (tool.levels) {
    for (let from = 0; from < wheels.length; from += wheelsAtOnce) {
      const group = wheels.slice(from, from + wheelsAtOnce);
      const putOn = group.reduce((sum, { walkS }) => sum + walkS + tool.setUpS, 0);
      const openS = Math.max(...open.slice(from, from + wheelsAtOnce));
      const startS = clock + putOn;
      clock = startS + openS + checkS;
      done.push(...group.map(({ position, wheel }) => ({ position, wheel, startS, openS, endS: clock })));
    }
  } else if (tool.stopsItself) {
    // When each deflator in the bag is free again.
    const free = new Array<number>(Math.max(1, wheelsAtOnce)).fill(0);
    wheels.forEach(({ position, wheel, walkS }, index) => {
      const next = free.indexOf(Math.min(...free));
      const startS = Math.max(clock, free[next]!) + walkS + tool.setUpS;
      free[next] = startS + open[index]!;
      clock = startS;
      done.push({ position, wheel, startS, openS: open[index]!, endS: free[next]! });
    });
    clock = Math.max(0, ...free);
  } else {
    wheels.forEach(({ position, wheel, walkS }, index) => {
      const startS = clock + walkS + tool.setUpS;
      clock = startS + open[index]! + checkS;
      done.push({ position, wheel, startS, openS: open[index]!, endS: clock });
    });
  }
  const flowing = open.reduce((sum, each) => sum + each, 0);
  return {
    wheels: done,
    totalS: clock,
    relativeError: clock > 0 ? Math.min(1, flowing / clock) * rate.relativeError : 0,
  };
}
