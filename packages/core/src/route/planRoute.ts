import { isLike, type Ground } from '../grounds/ground';
import type { GroundCode } from '../grounds/registry';
import type { Kind } from '../families/family';
import type { AxlePosition } from '../loads/geometry';
import type { PlanProblem } from '../plan/plan';
import { failure, success, type Result } from '../result/result';
import { canBog, softnessAt, timesStuck, type Softness } from '../grounds/bogging';
import { cheapestRoute, routeOf, type RouteGraph, type RoutePath, type RouteStage } from './cheapestRoute';
import { nearestMark, ownOnGauge, routeSettings } from './routeSettings';
import { routeStops, type RouteTools, type Setting } from './routeStops';
import {
  bogChance,
  stretchKind,
  wearOf,
  type OnStretch,
  type RouteStretch,
  type StretchKind,
  type Wear,
} from './stretch';

/** What a person would give to be spared something, minutes. */
export interface RoutePrices {
  /** For each km at twice what rough ground asks for, and so on in proportion; likewise the others. */
  readonly harsh: number;
  readonly pressed: number;
  readonly soft: number;
}

export interface RouteInput {
  readonly stretches: readonly RouteStretch[];
  /** What is in the tires as the day begins, cold. */
  readonly start: Setting;
  /** How warm or empty the pump is, in its own steps; 0 rested and full. */
  readonly startPump?: number;
  /** One mark of the person's gauge, kPa. */
  readonly stepKpa: number;
  readonly tools: RouteTools;
  /** What getting out takes once stuck, min. */
  readonly bogMin: number;
  readonly prices: RoutePrices;
}

/** Getting out, min. Assumption: until the person says what it takes them. */
export const USUAL_BOG_MIN: Readonly<Record<Kind, number>> = {
  car: 30,
  quad: 20,
  motorcycle: 15,
  bicycle: 3,
  farm: 60,
};
/** Only the soil of a field has a price unless somebody says so: the road's pressure is always quickest there. Assumption. */
export const USUAL_PRICES: RoutePrices = { harsh: 0, pressed: 5, soft: 0 };

export const ROUTE_PLANS = ['quickest', 'fewestStops', 'surest'] as const;
export type RoutePlanCode = (typeof ROUTE_PLANS)[number];

/** The surest plan counts being stuck so many times over. Assumption. */
const SUREST_TIMES = 6;
/** A stop must be worth so many minutes, and so much of the day. Assumptions. */
const STOP_WORTH_MIN = 5;
const STOP_WORTH_SHARE = 0.05;
/** What pumping before soft ground is thought to cost beyond its time, min. Assumption: more than it ever brings. */
const PUMP_ON_SOFT_MIN = 60;

/** What the plan of fewest stops gives for each stop that it is spared, min. Assumption: more than any stop takes. */
const STOP_PRICE_MIN = 600;
/** It takes no more than this chance to be stuck on any stretch, unless there is nothing better. Assumption. */
const MOST_CHANCE = 0.2;

/** One stretch of a plan. */
export interface RouteLeg {
  readonly setting: Setting;
  /** Minutes of the stop before it; null where nothing is changed. */
  readonly stopMin: number | null;
  readonly waitMin: number;
  readonly driveMin: number;
  readonly kmh: number;
  readonly bogChance: number;
  readonly wear: Wear;
  /** Axles that stand below what the ground's own plan goes to: held at a lower speed than its guide. */
  readonly belowFloor: readonly { readonly position: AxlePosition; readonly floorKpa: number }[];
  /** Pavement below road pressure, for want of air. */
  readonly limps: boolean;
  /** Minutes since the day began, if nothing goes wrong. */
  readonly fromMin: number;
  readonly untilMin: number;
}

export interface RoutePlan {
  readonly legs: readonly RouteLeg[];
  readonly stops: number;
  readonly driveMin: number;
  readonly stopsMin: number;
  readonly waitMin: number;
  /** How often one is stuck on average times what it takes, over all stretches, min. */
  readonly bogMin: number;
  /** To be stuck at least once: stretches of one ground are as soft as one another. */
  readonly bogChance: number;
  readonly wear: Wear;
  /** Driving, stops, waiting and what being stuck takes on average. */
  readonly totalMin: number;
  /** The stretch that is first reached after it has closed, and by how much; null where all is in time. */
  readonly late: { readonly stretch: number; readonly minutes: number } | null;
}

/** How well one plan does however soft it turns out. */
export interface Robustness {
  /** The most that another plan would have saved, had one known, min. */
  readonly worstMin: number;
  /** What the plan sets on the soft stretch that decides, and what it would set if it is softer, and firmer, than thought. */
  readonly stretch: number;
  readonly setting: Setting;
  readonly ifSofter: Setting;
  readonly ifFirmer: Setting;
}

export interface RouteAnswer {
  readonly plans: Readonly<Record<RoutePlanCode, RoutePlan>>;
  /** The best single pressure; null where none is safe on every stretch. */
  readonly onePressure: RoutePlan | null;
  /** Each ground as its plan has it, with a stop at every change; null where one can't stop for it. */
  readonly tradeTable: RoutePlan | null;
  /** The air does not suffice: pavement is driven soft, and slowly. */
  readonly limps: boolean;
  /** Null where no ground can hold the rig. */
  readonly robustness: Robustness | null;
}

/** Why there is no plan, and on which stretch. */
export type RouteProblem =
  | (PlanProblem & { readonly stretch: number })
  /** Nothing that is safe here can be reached from what is safe before it without a stop where one can't stop. */
  | { readonly code: 'noStopBefore'; readonly stretch: number }
  /** The air that would be needed is not there. */
  | { readonly code: 'notEnoughAir'; readonly stretch: number };

/** How soft each ground turns out, as quantiles: -1.28 is one in ten. */
const QUANTILES = [-1.28, -0.52, 0, 0.52, 1.28] as const;
/** So many soft grounds are drawn apart from one another, and no more on long routes; the rest go together. */
const DRAWN_APART = 2;
const LONG_ROUTE = 40;

interface Built {
  readonly stretch: RouteStretch;
  readonly kind: StretchKind;
  readonly code: GroundCode;
  /** By setting. */
  readonly at: readonly (OnStretch | null)[];
}

/**
 * A day's route: which pressures, and where to stop. Floors, ceilings, load at speed and the road's pressure are never
 * traded; all else is minutes: driving at what each pressure allows, stops with the person's own tools, the chance to be
 * stuck times what it takes, and wear where it has a price.
 */
export function planRoute(input: RouteInput): Result<RouteAnswer, RouteProblem> {
  const planned = routeWith(input, false);
  // Without air enough the way home is a stretch like any other, driven soft.
  return !planned.ok && planned.problem.code === 'notEnoughAir' ? routeWith(input, true) : planned;
}

function routeWith(input: RouteInput, limps: boolean): Result<RouteAnswer, RouteProblem> {
  // Stretches of one ground, load and speed are worked out once.
  const kinds = new Map<string, StretchKind>();
  const kindOf = ({ input: each, endAxles }: RouteStretch): Result<StretchKind, PlanProblem> => {
    const key = JSON.stringify([each, endAxles]);
    const known = kinds.get(key);
    if (known) return success(known);
    const worked = stretchKind(each, endAxles, limps);
    if (worked.ok) kinds.set(key, worked.value);
    return worked;
  };
  const found: StretchKind[] = [];
  for (const [stretch, each] of input.stretches.entries()) {
    const kind = kindOf(each);
    if (!kind.ok) return failure({ ...kind.problem, stretch });
    found.push(kind.value);
  }
  const settings = routeSettings(input.start, found, input.stepKpa);
  const onKind = new Map<StretchKind, (OnStretch | null)[]>();
  const built = input.stretches.map((stretch, index): Built => {
    const kind = found[index]!;
    const at = onKind.get(kind) ?? settings.map((setting) => kind.at(setting));
    onKind.set(kind, at);
    return { stretch, kind, code: stretch.input.ground, at };
  });
  const stops = routeStops(input.tools, settings);
  const base: Base = { input, built, settings, stops, limps };

  const soonest = inTime(graphOf(base, {}));
  if (!soonest) return failure(whyNone(base));
  const stopPriceMin = Math.max(STOP_WORTH_MIN, STOP_WORTH_SHARE * soonest.path.clockMin);
  const graphs: Record<RoutePlanCode, RouteGraph> = {
    quickest: graphOf(base, { stopPriceMin }),
    fewestStops: graphOf(base, { stopPriceMin: STOP_PRICE_MIN, mostChance: MOST_CHANCE }),
    surest: graphOf(base, { bogTimes: SUREST_TIMES, stopPriceMin }),
  };
  const quickest = inTime(graphs.quickest) ?? soonest;
  const paths: Record<RoutePlanCode, Timed> = {
    quickest,
    fewestStops: inTime(graphs.fewestStops) ?? quickest,
    surest: inTime(graphs.surest) ?? quickest,
  };
  const told = (timed: Timed): RoutePlan => planOf(base, timed);
  return success({
    plans: {
      quickest: told(paths.quickest),
      fewestStops: told(paths.fewestStops),
      surest: told(paths.surest),
    },
    onePressure: mapNull(bestFixed(graphs.quickest, settings.length), told),
    tradeTable: mapNull(fixedInTime(graphs.quickest, tableOf(base)), told),
    limps,
    robustness: robustnessOf(base, quickest.path),
  });
}

interface Base {
  readonly input: RouteInput;
  readonly built: readonly Built[];
  readonly settings: readonly Setting[];
  readonly stops: Pick<RouteGraph, 'stop' | 'rested' | 'raises'>;
  readonly limps: boolean;
}

interface Weighing {
  readonly stopPriceMin?: number;
  readonly bogTimes?: number;
  readonly mostChance?: number;
  /** How soft each ground turns out to be. */
  readonly drawn?: ReadonlyMap<GroundCode, number>;
}

/** Ground on which nobody wants to pump. */
const isSoft = (ground: Ground): boolean =>
  (['sand', 'deep', 'mud', 'snow', 'field'] as const).some((trait) => isLike(ground, trait));

const softnessOf = ({ stretch, code }: Built, drawn: Weighing['drawn']): Softness => {
  const z = drawn?.get(code);
  return z === undefined
    ? { shift: stretch.softnessShift, sureness: stretch.sureness }
    : { shift: stretch.softnessShift + softnessAt(stretch.sureness, z), sureness: 'drawn' };
};

function graphOf(
  { input, built, stops }: Base,
  { stopPriceMin = 0, bogTimes = 1, mostChance = 1, drawn }: Weighing,
): RouteGraph {
  const { prices, bogMin } = input;
  const stages = built.map((each, index): RouteStage => {
    const { stretch, kind, at } = each;
    const softness = softnessOf(each, drawn);
    const chances = at.map((on) => (on ? bogChance(kind, on, stretch.climbDeg, softness) : 1));
    const most = Math.max(mostChance, Math.min(...chances) + 1e-9);
    return {
      costs: at.map((on, setting) => {
        if (!on || chances[setting]! > most) return null;
        const wear = wearOf(kind, on, stretch.lengthKm);
        return {
          driveMin: (60 * stretch.lengthKm) / on.kmh,
          extraMin:
            bogTimes * timesStuck(chances[setting]!) * bogMin +
            prices.harsh * wear.harshKm +
            prices.pressed * wear.pressedKm +
            prices.soft * wear.softKm,
        };
      }),
      // Before a stretch where one can't stop there is a place to, unless one can't stop before it either.
      before:
        stretch.noStopping && index > 0 && built[index - 1]!.stretch.noStopping
          ? 'noStop'
          : stretch.freeAir
            ? 'freeAir'
            : 'stop',
      opensMin: stretch.opensMin,
      closesMin: stretch.closesMin,
      pumpPriceMin: isSoft(kind.ground) ? PUMP_ON_SOFT_MIN : 0,
    };
  });
  return { ...stops, stages, startSetting: 0, startPump: input.startPump ?? 0, stopPriceMin };
}

interface Timed {
  readonly path: RoutePath;
  readonly late: RoutePlan['late'];
}

const withoutClosing = (graph: RouteGraph): RouteGraph => ({
  ...graph,
  stages: graph.stages.map((stage) => ({ ...stage, closesMin: null })),
});

function lateOn({ stages }: RouteGraph, { steps }: RoutePath): RoutePlan['late'] {
  const stretch = steps.findIndex(({ untilMin }, index) => untilMin > (stages[index]!.closesMin ?? Infinity) + 1e-9);
  return stretch === -1 ? null : { stretch, minutes: steps[stretch]!.untilMin - stages[stretch]!.closesMin! };
}

/** The cheapest in time; where nothing is, the one that is least late, which says so. */
function inTime(graph: RouteGraph): Timed | null {
  const path = cheapestRoute(graph);
  if (path) return { path, late: null };
  // By the clock alone, so that as little as can be is missed.
  const open = withoutClosing(graph);
  const soonest = cheapestRoute({
    ...open,
    stopPriceMin: 0,
    stages: open.stages.map((stage) => ({
      ...stage,
      costs: stage.costs.map((cost) => cost && { ...cost, extraMin: cost.extraMin * 0.01 }),
    })),
  });
  return soonest && { path: soonest, late: lateOn(graph, soonest) };
}

function fixedInTime(graph: RouteGraph, settings: readonly number[] | null): Timed | null {
  if (!settings) return null;
  const path = routeOf(withoutClosing(graph), settings);
  return path && { path, late: lateOn(graph, path) };
}

function bestFixed(graph: RouteGraph, settings: number): Timed | null {
  let best: Timed | null = null;
  for (let setting = 0; setting < settings; setting += 1) {
    const timed = fixedInTime(
      graph,
      graph.stages.map(() => setting),
    );
    if (timed && (!best || timed.path.cost < best.path.cost)) best = timed;
  }
  return best;
}

/** The setting of each stretch that lies nearest to what its ground asks for; what stands is kept where one can't stop. */
function tableOf({ input, built, settings }: Base): number[] | null {
  const chosen: number[] = [];
  for (const [index, { kind, at, stretch }] of built.entries()) {
    const before = index === 0 ? 0 : chosen[index - 1]!;
    const closed = stretch.noStopping && index > 0 && built[index - 1]!.stretch.noStopping;
    const own = ownOnGauge(kind, input.stepKpa);
    const shown = (kpa: number): number => (kind.ground.paved === true ? kpa : nearestMark(kpa, input.stepKpa));
    const apart = (setting: Setting): number =>
      Math.max(...setting.map(({ pressureKpa }, axle) => Math.abs(Math.log(shown(pressureKpa) / own[axle]!))));
    const fit = settings
      .map((setting, code) => ({ code, apart: at[code] ? apart(setting) : Number.POSITIVE_INFINITY }))
      // What is in the tires stays where it is as good as any.
      .reduce((best, each) => (each.apart < best.apart - 1e-9 ? each : best), {
        code: before,
        apart: at[before] ? apart(settings[before]!) : Number.POSITIVE_INFINITY,
      });
    if (closed && !at[before]) return null;
    chosen.push(closed ? before : fit.code);
  }
  return chosen;
}

/** What no gauge shows, kPa, and as a share. */
const DUST_KPA = 0.5;
const FULL_DUST = 0.005;

const belowFloorOf = ({ groundFloorKpa }: StretchKind, setting: Setting): RouteLeg['belowFloor'] =>
  setting.flatMap(({ position, pressureKpa }, axle) =>
    pressureKpa < groundFloorKpa[axle]! - DUST_KPA ? [{ position, floorKpa: groundFloorKpa[axle]! }] : [],
  );

function planOf({ input, built, settings, limps }: Base, { path, late }: Timed): RoutePlan {
  const legs = path.steps.map((step, index): RouteLeg => {
    const each = built[index]!;
    const { stretch, kind, at } = each;
    const on = at[step.setting]!;
    return {
      setting: settings[step.setting]!,
      stopMin: step.stop?.minutes ?? null,
      waitMin: step.waitMin,
      driveMin: step.driveMin,
      kmh: on.kmh,
      bogChance: bogChance(kind, on, stretch.climbDeg, softnessOf(each, undefined)),
      wear: wearOf(kind, on, stretch.lengthKm),
      belowFloor: kind.ground.paved ? [] : belowFloorOf(kind, settings[step.setting]!),
      limps: limps && kind.ground.paved === true && on.leastRatio < 1 - FULL_DUST,
      fromMin: step.fromMin,
      untilMin: step.untilMin,
    };
  });
  const sum = (of: (leg: RouteLeg) => number): number => legs.reduce((total, leg) => total + of(leg), 0);
  const driveMin = sum((leg) => leg.driveMin);
  const stopsMin = sum((leg) => leg.stopMin ?? 0);
  const waitMin = sum((leg) => leg.waitMin);
  const bogMin = input.bogMin * sum((leg) => timesStuck(leg.bogChance));
  const byGround = new Map<GroundCode, number>();
  for (const [index, leg] of legs.entries()) {
    const { code } = built[index]!;
    byGround.set(code, Math.max(byGround.get(code) ?? 0, leg.bogChance));
  }
  return {
    legs,
    stops: path.stops,
    driveMin,
    stopsMin,
    waitMin,
    bogMin,
    bogChance: 1 - [...byGround.values()].reduce((through, chance) => through * (1 - chance), 1),
    wear: {
      softKm: sum(({ wear }) => wear.softKm),
      harshKm: sum(({ wear }) => wear.harshKm),
      pressedKm: sum(({ wear }) => wear.pressedKm),
    },
    totalMin: driveMin + stopsMin + waitMin + bogMin,
    late,
  };
}

/** A plan against the best in hindsight, over what each soft ground may turn out to be. */
function robustnessOf(base: Base, path: RoutePath): Robustness | null {
  const { built, settings } = base;
  const soft = [...new Set(built.filter(({ kind }) => canBog(kind.ground)).map(({ code }) => code))];
  if (soft.length === 0) return null;
  const drawnGraph = (zs: readonly number[]): RouteGraph =>
    withoutClosing(graphOf(base, { drawn: new Map(soft.map((code, index) => [code, zs[index] ?? zs.at(-1)!])) }));
  const chosen = path.steps.map(({ setting }) => setting);
  const apart = built.length > LONG_ROUTE ? 1 : Math.min(soft.length, DRAWN_APART);
  let draws: number[][] = [[]];
  for (let ground = 0; ground < apart; ground += 1) draws = draws.flatMap((zs) => QUANTILES.map((z) => [...zs, z]));
  const worstMin = Math.max(
    ...draws.map((zs) => {
      const graph = drawnGraph(zs);
      const [best, own] = [cheapestRoute(graph), routeOf(graph, chosen)];
      return best && own ? own.cost - best.cost : 0;
    }),
  );
  const at = (zs: readonly number[]): RoutePath => cheapestRoute(drawnGraph(zs)) ?? path;
  const [softer, firmer] = [at([1.28]), at([-1.28])];
  // The one that is likeliest to hold the rig decides.
  const chance = (index: number): number => {
    const each = built[index]!;
    const on = each.at[chosen[index]!]!;
    return bogChance(each.kind, on, each.stretch.climbDeg, softnessOf(each, undefined));
  };
  const stretch = built
    .map((_, index) => index)
    .filter((index) => canBog(built[index]!.kind.ground))
    .reduce((best, index) => (chance(index) > chance(best) ? index : best));
  const of = ({ steps }: RoutePath): Setting => settings[steps[stretch]!.setting]!;
  return { worstMin, stretch, setting: of(path), ifSofter: of(softer), ifFirmer: of(firmer) };
}

/** What stands in the way: air, or a place to stop. */
function whyNone(base: Base): RouteProblem {
  const graph = withoutClosing(graphOf(base, {}));
  const furthest = (relaxed: RouteGraph): number => {
    let stages = 0;
    while (
      stages < relaxed.stages.length &&
      cheapestRoute({ ...relaxed, stages: relaxed.stages.slice(0, stages + 1) })
    ) {
      stages += 1;
    }
    return stages;
  };
  const stretch = furthest(graph);
  const withAir = furthest({ ...graph, stop: (_, __, pump) => ({ minutes: 0, pump }) });
  return { code: withAir > stretch ? 'notEnoughAir' : 'noStopBefore', stretch };
}

const mapNull = <From, To>(value: From | null, map: (value: From) => To): To | null =>
  value === null ? null : map(value);
