import { isBicycleTire, pressureForShareKpa, standingHeightMm } from '../contact/deflection';
import { placardRules, type AxleContext } from '../plan/axleContext';
import { stiffnessInputs } from '../plan/stiffnessInputs';
import { assumption, published } from '../source';
import type { Limit } from './limit';

export const FLEX_SOURCE = published('US Forest Service, central tire inflation reports');

/**
 * The most a sidewall may bend at a speed, as deflection over section height. Published: US Forest Service and military
 * central-tire-inflation reports (from memory): 30–35 % on sand, mud and snow, 20–25 % on tracks, 10–15 % on the road.
 * Which speed each stands for, and the straight lines between, are our assumptions.
 */
export const FLEX_BY_SPEED: readonly (readonly [kmh: number, share: number])[] = [
  [40, 0.35],
  [80, 0.25],
  [110, 0.15],
];

/** The emergency itself. Assumption: just past where the reference rig stands at the trade's last step, 6 psi. */
export const FLEX_SHARE_STUCK = 0.45;

/**
 * How far a sidewall may bend at a speed, 0 to 1.
 *
 * @param speedKmh null counts as slow
 * @example flexShareAt(60) // 0.30
 */
export function flexShareAt(speedKmh: number | null): number {
  const [first, last] = [FLEX_BY_SPEED[0]!, FLEX_BY_SPEED.at(-1)!];
  if (speedKmh === null || speedKmh <= first[0]) return first[1];
  for (let index = 1; index < FLEX_BY_SPEED.length; index += 1) {
    const [slow, more] = FLEX_BY_SPEED[index - 1]!;
    const [fast, less] = FLEX_BY_SPEED[index]!;
    if (speedKmh <= fast) return more + ((less - more) * (speedKmh - slow)) / (fast - slow);
  }
  return last[1];
}

/** The fastest that a tire bent so far may go, km/h: `flexShareAt` turned round. Null where the road's own limits hold. */
export function speedForShareKmh(share: number): number | null {
  const [first, last] = [FLEX_BY_SPEED[0]!, FLEX_BY_SPEED.at(-1)!];
  if (share <= last[1]) return null;
  if (share > first[1]) return WALKING_KMH;
  for (let index = FLEX_BY_SPEED.length - 1; index > 0; index -= 1) {
    const [slow, more] = FLEX_BY_SPEED[index - 1]!;
    const [fast, less] = FLEX_BY_SPEED[index]!;
    if (share <= more) return slow + ((fast - slow) * (more - share)) / (more - less);
  }
  return first[0];
}

/** Past the most: walking pace, straight, out of it. Common practice, no source. */
export const WALKING_KMH = 5;

/** The speed that heat is looked at for: the way to the next air, where that must be driven on this pressure. */
const heatKmh = ({ speedKmh, reachAirKmh }: AxleContext): number | null =>
  reachAirKmh === null ? speedKmh : Math.max(speedKmh ?? 0, reachAirKmh);

export const flexShareOf = (context: AxleContext): number =>
  context.stuck ? FLEX_SHARE_STUCK : flexShareAt(heatKmh(context));

/**
 * The floor that rises with load and speed: a heavy wheel bends its sidewall too far long before the bead lets go, and
 * a fast one cooks it. On the road the placard is trusted; bicycle tires drop by a curve of their own; what a farm tire
 * carries goes by speed already (`loadAtSpeed`).
 */
export const heatAndSpeed = {
  code: 'heatAndSpeed',
  source: FLEX_SOURCE,
  pressureKpa: (context) =>
    placardRules(context) || isBicycleTire(context.build) || context.build.tire.use === 'farm'
      ? null
      : pressureForShareKpa(context.build, context.wheelLoadKg, flexShareOf(context)),
  steps: (context, pressureKpa) => {
    const { build, wheelLoadKg } = context;
    const share = flexShareOf(context);
    const speedKmh = heatKmh(context);
    return [
      {
        code: 'flexShare',
        inputs: speedKmh === null ? {} : { speedKmh },
        result: { name: 'flexShare', value: share },
        source: context.stuck ? assumption : FLEX_SOURCE,
      },
      {
        code: 'flexFloor',
        inputs: {
          wheelLoadKg,
          flexShare: share,
          sectionHeightMm: standingHeightMm(build),
          ...stiffnessInputs(build),
        },
        result: { name: 'flexFloorKpa', value: pressureKpa },
        source: FLEX_SOURCE,
      },
    ];
  },
} as const satisfies Limit;
