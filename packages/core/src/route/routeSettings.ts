import type { Setting } from './routeStops';
import type { StretchKind } from './stretch';

/** Between the lowest and the highest that any stretch asks for, so many steps. Assumption: finer changes no plan. */
const STEPS = 10;
const DUST = 1e-6;

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
  const nearest = (kpa: number): number => Math.round(kpa / stepKpa + DUST) * stepKpa;
  const up = (kpa: number): number => Math.ceil(kpa / stepKpa - DUST) * stepKpa;
  const down = (kpa: number): number => Math.floor(kpa / stepKpa + DUST) * stepKpa;
  for (const { ground, ownKpa, lowestKpa, highestKpa } of distinct) {
    // On the road what is entered stands, whatever the marks.
    if (ground.paved === true)
      add(ownKpa.map((kpa, axle) => Math.min(Math.max(kpa, lowestKpa[axle]!), highestKpa[axle]!)));
    else {
      add(
        ownKpa.map((kpa, axle) => {
          const mark = nearest(kpa);
          return mark < lowestKpa[axle]! - DUST ? up(kpa) : mark > highestKpa[axle]! + DUST ? down(kpa) : mark;
        }),
      );
    }
  }
  // The lowest that every stretch of the day allows: what one pressure for all of it has to be at least.
  add(start.map((_, axle) => Math.max(...distinct.map(({ lowestKpa }) => lowestKpa[axle]!))));
  const lowest = start.map((_, axle) =>
    Math.max(stepKpa, Math.min(...distinct.map(({ lowestKpa }) => lowestKpa[axle]!))),
  );
  const highest = start.map((_, axle) =>
    Math.max(lowest[axle]!, ...distinct.map(({ ownKpa, lowestKpa }) => Math.max(ownKpa[axle]!, lowestKpa[axle]!))),
  );
  for (let step = 0; step <= STEPS; step += 1) {
    add(lowest.map((low, axle) => up(low * (highest[axle]! / low) ** (step / STEPS))));
  }
  return settings;
}
