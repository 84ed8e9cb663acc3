import type { Setting } from './routeStops';
import type { StretchKind } from './stretch';

/** Between the lowest and the highest that any stretch asks for, so many steps. Assumption: finer changes no plan. */
const STEPS = 10;
const DUST = 1e-6;

const markAbove = (kpa: number, stepKpa: number): number => Math.ceil(kpa / stepKpa - DUST) * stepKpa;
const markBelow = (kpa: number, stepKpa: number): number => Math.floor(kpa / stepKpa + DUST) * stepKpa;
/** The nearest mark of a gauge, kPa. */
export const nearestMark = (kpa: number, stepKpa: number): number => Math.round(kpa / stepKpa + DUST) * stepKpa;

/**
 * What a ground asks for of each axle, kPa, as a gauge shows it: no rounding goes below the ground's floor or above its
 * ceiling. On the road what is entered stands, whatever the marks.
 */
export function ownOnGauge(
  { ground, ownKpa, lowestKpa, highestKpa, groundFloorKpa }: StretchKind,
  stepKpa: number,
): number[] {
  return ownKpa.map((kpa, axle) => {
    if (ground.paved === true) return Math.min(Math.max(kpa, lowestKpa[axle]!), highestKpa[axle]!);
    const mark = nearestMark(kpa, stepKpa);
    if (mark < Math.max(lowestKpa[axle]!, groundFloorKpa[axle]!) - DUST) return markAbove(kpa, stepKpa);
    return mark > highestKpa[axle]! + DUST ? markBelow(kpa, stepKpa) : mark;
  });
}

/**
 * The pressures that a route is planned with: what is in the tires now (always the first), what each ground asks for, and
 * steps between the lowest and the highest of all stretches, each on a mark of the gauge and never below a floor by
 * rounding.
 */
export function routeSettings(start: Setting, kinds: readonly StretchKind[], stepKpa: number): Setting[] {
  const distinct = [...new Set(kinds)];
  const settings: Setting[] = [start];
  const add = (pressures: readonly number[]): void => {
    const next = start.map(({ position }, axle) => ({ position, pressureKpa: pressures[axle]! }));
    const known = settings.some((setting) =>
      setting.every(({ pressureKpa }, axle) => Math.abs(pressureKpa - pressures[axle]!) < stepKpa / 100),
    );
    if (!known) settings.push(next);
  };
  for (const kind of distinct) add(ownOnGauge(kind, stepKpa));
  // The lowest that every stretch of the day allows: what one pressure for all of it has to be at least.
  add(start.map((_, axle) => Math.max(...distinct.map(({ lowestKpa }) => lowestKpa[axle]!))));
  const lowest = start.map((_, axle) =>
    Math.max(stepKpa, Math.min(...distinct.map(({ lowestKpa }) => lowestKpa[axle]!))),
  );
  const highest = start.map((_, axle) =>
    Math.max(lowest[axle]!, ...distinct.map(({ ownKpa, lowestKpa }) => Math.max(ownKpa[axle]!, lowestKpa[axle]!))),
  );
  for (let step = 0; step <= STEPS; step += 1) {
    add(lowest.map((low, axle) => markAbove(low * (highest[axle]! / low) ** (step / STEPS), stepKpa)));
  }
  return settings;
}
