import type { AiringRow, Found, ProofTestRow, RigRow, RouteBody, RouteStretchBody } from '@dunlinmoss/contract';
import {
  airPressureKpaAbs,
  familyOf,
  failure,
  inToolOf,
  outToolOf,
  planGround,
  success,
  USUAL_BOG_MIN,
  USUAL_PRICES,
  type GroundCode,
  type Kind,
  type PlanAxle,
  type PlanInput,
  type PlanProblem,
  type Result,
  type RouteInput,
  type RouteProblem,
  type RouteStretch,
  type RouteTools,
  type Setting,
} from '@dunlinmoss/core';

import { outRate, pumpOf, pumpRate, wheelsAtOnceOf, type ToolUsed } from '../air/airings';
import type { InTire } from '../air/inTire';
import { rigWheels, walksOf, type RigWheel } from '../air/wheels';
import { planAxles, planInput, type NoPlan, type PlanRequest } from '../plan/planInput';

/** What of a stretch is not the same for every new one. */
type Drawn = Pick<RouteStretchBody, 'groundCode' | 'lengthM'>;

const km = (groundCode: GroundCode, length: number): Drawn => ({ groundCode, lengthM: 1000 * length });

/** A day as each kind most often has it: where a new route begins. Assumptions. */
export const USUAL_DAY: Readonly<Record<Kind, readonly Drawn[]>> = {
  car: [km('pavement', 20), km('gravel', 15), km('softSand', 3), km('gravel', 15), km('pavement', 20)],
  quad: [km('gravel', 4), km('snow', 6), km('gravel', 4)],
  motorcycle: [km('pavement', 20), km('dirtRoad', 15), km('mud', 2), km('dirtRoad', 15), km('pavement', 20)],
  bicycle: [km('climb', 3), km('rock', 2)],
  farm: [km('pavement', 3), km('fieldMoist', 2), km('pavement', 3)],
};

/** How long a stretch is that is tapped on, before anybody says how long, m. Assumption. */
const USUAL_LENGTH_M = 5_000;
/** Finding a place and putting things away, min. Assumption, until the person says what it takes them. */
export const USUAL_PULL_OVER_MIN: Readonly<Record<Kind, number>> = {
  car: 2,
  quad: 1,
  motorcycle: 1,
  bicycle: 1,
  farm: 3,
};

/** A stretch as it is tapped on. */
export const newStretch = (id: string, groundCode: GroundCode, lengthM: number = USUAL_LENGTH_M): RouteStretchBody => ({
  id,
  groundCode,
  lengthM,
  climbDeg: 0,
  loadCaseId: null,
  endLoadCaseId: null,
  speedKmh: null,
  sureness: 'usual',
  noStopping: false,
  freeAir: false,
  opensAtMin: null,
  closesAtMin: null,
  found: null,
});

/** What "firmer" and "softer" move the softness of a ground by, as a natural logarithm. Assumption: about a window's width. */
const FOUND_SHIFT: Readonly<Record<Found, number>> = { firmer: -0.3, asThought: 0, softer: 0.3 };

const DAY_MIN = 24 * 60;

/** How each ground of a route was found last: what holds for one stretch of it holds for all. */
export function foundOn(stretches: readonly RouteStretchBody[]): ReadonlyMap<GroundCode, Found> {
  const found = new Map<GroundCode, Found>();
  for (const each of stretches) if (each.found) found.set(each.groundCode, each.found);
  return found;
}

/** What a route takes beside itself. */
export interface RouteContext {
  readonly rig: RigRow;
  readonly tests: readonly ProofTestRow[];
  readonly airings: readonly AiringRow[];
  /** What is in the tires, as far as anybody knows. */
  readonly known: (wheel: RigWheel) => InTire | undefined;
  readonly outTool: ToolUsed;
  readonly inTool: ToolUsed;
  readonly altitudeM: number;
  /** One mark of the person's gauge, kPa. */
  readonly stepKpa: number;
  /** Fills in what was proved on each ground. */
  readonly withProof: <Asked extends PlanRequest>(asked: Asked) => Asked;
  /** Minutes since midnight, where the route is under way: the plan begins now. */
  readonly nowMin?: number;
}

export type NoRoute =
  | ((NoPlan | PlanProblem) & { readonly stretch: number })
  /** There is nothing to drive yet. */
  | { readonly code: 'noStretch'; readonly stretch: number };

/** Everything that ends a route without a plan. */
export type RouteTrouble = NoRoute | RouteProblem;

/** How it is known what a route begins with: read or set, or the road pressure, or what the first ground asks for, where nobody read it. */
export type StartKnown = 'known' | 'road' | 'ground';

export function startKnown({ rig, known }: Pick<RouteContext, 'rig' | 'known'>): StartKnown {
  const found = rigWheels(rig).map((wheel) => known(wheel)?.known);
  if (found.every((each) => each !== undefined && each !== 'assumed')) return 'known';
  return rig.axles.every(({ roadKpa }) => roadKpa !== null && roadKpa > 0) ? 'road' : 'ground';
}

/** What is in each axle's tires, cold, kPa: the softest of its wheels; what was never read is taken to be the road pressure. */
export function settingNow({ rig, known }: Pick<RouteContext, 'rig' | 'known'>): Setting | undefined {
  const wheels = rigWheels(rig);
  const setting = rig.axles.flatMap(({ position, roadKpa }) => {
    const found = wheels.filter((wheel) => wheel.position === position).flatMap((wheel) => known(wheel)?.coldKpa ?? []);
    const pressureKpa = found.length > 0 ? Math.min(...found) : (roadKpa ?? 0);
    return pressureKpa > 0 ? [{ position, pressureKpa }] : [];
  });
  return setting.length === rig.axles.length ? setting : undefined;
}

/** What a ground asks for, where nobody knows what is in the tires. */
function settingOf(input: PlanInput): Setting | PlanProblem {
  const plan = planGround(input);
  return plan.ok
    ? plan.value.axles.map(({ position, startKpa }) => ({ position, pressureKpa: startKpa }))
    : plan.problem;
}

/** Minutes from the beginning to a time of the day; one that is long past is of the next day. */
const untilMin = (atMin: number | null, beginsMin: number | null): number | null => {
  if (atMin === null || beginsMin === null) return null;
  const minutes = atMin - beginsMin;
  return minutes < -DAY_MIN / 2 ? minutes + DAY_MIN : minutes;
};

/** The stretches that are still to be driven. */
export const stretchesAhead = ({
  stretches,
  drive,
}: Pick<RouteBody, 'stretches' | 'drive'>): readonly RouteStretchBody[] => stretches.slice(drive?.at ?? 0);

/** The route as the core plans it: all of it, or under way what is left from where the machine stands. */
export function routeInput(route: RouteBody, context: RouteContext): Result<RouteInput, NoRoute> {
  const { rig, tests, stepKpa, withProof } = context;
  const { kind } = familyOf(rig.family);
  const first = route.drive?.at ?? 0;
  if (stretchesAhead(route).length === 0) return failure({ code: 'noStretch', stretch: first });
  const found = foundOn(route.stretches);
  const beginsMin = context.nowMin ?? route.startsAtMin;
  // One ground, load and speed is worked out once, however often it comes.
  const inputs = new Map<string, PlanInput>();
  const ends = new Map<string, readonly PlanAxle[]>();
  const stretches: RouteStretch[] = [];
  for (const [index, stretch] of stretchesAhead(route).entries()) {
    const { groundCode: ground, loadCaseId, endLoadCaseId, speedKmh } = stretch;
    const key = [ground, loadCaseId, speedKmh].join();
    let input = inputs.get(key);
    if (!input) {
      const worked = planInput(rig, tests, withProof({ ground, modifiers: [], speedKmh, loadCaseId }));
      if (!worked.ok) return failure({ ...worked.problem, stretch: first + index });
      inputs.set(key, (input = worked.value));
    }
    let endAxles: readonly PlanAxle[] | null = null;
    if (endLoadCaseId !== null) {
      const before = ends.get(endLoadCaseId);
      if (before) endAxles = before;
      else {
        const worked = planAxles(rig, tests, endLoadCaseId);
        if (!worked.ok) return failure({ ...worked.problem, stretch: first + index });
        ends.set(endLoadCaseId, (endAxles = worked.value.axles));
      }
    }
    const seen = found.get(ground);
    stretches.push({
      input,
      endAxles,
      lengthKm: stretch.lengthM / 1000,
      climbDeg: stretch.climbDeg,
      sureness: seen ? 'known' : stretch.sureness,
      softnessShift: seen ? FOUND_SHIFT[seen] : 0,
      noStopping: stretch.noStopping,
      freeAir: stretch.freeAir,
      opensMin: untilMin(stretch.opensAtMin, beginsMin),
      closesMin: untilMin(stretch.closesAtMin, beginsMin),
    });
  }
  const start = settingNow(context) ?? settingOf(stretches[0]!.input);
  if ('code' in start) return failure({ ...start, stretch: first });
  const { prices } = route;
  return success({
    stretches,
    start,
    stepKpa,
    tools: routeTools(route, context),
    bogMin: route.bogMin ?? USUAL_BOG_MIN[kind],
    prices: {
      harsh: prices.harsh ?? USUAL_PRICES.harsh,
      pressed: prices.pressed ?? USUAL_PRICES.pressed,
      soft: prices.soft ?? USUAL_PRICES.soft,
    },
  });
}

/** The person's own tools, by everything that was timed with them. */
export function routeTools(
  { central, pullOverMin }: Pick<RouteBody, 'central' | 'pullOverMin'>,
  { rig, airings, outTool, inTool, altitudeM }: RouteContext,
): RouteTools {
  const wheels = rigWheels(rig);
  const walks = walksOf(rig, wheels);
  return {
    wheels: wheels.map(({ position, wheel, volumeL }, index) => ({ position, wheel, volumeL, walkS: walks[index]! })),
    out: { tool: outToolOf(outTool.kind)!, rate: outRate(outTool, airings), wheelsAtOnce: wheelsAtOnceOf(outTool) },
    in: {
      pump: pumpOf(inTool),
      setUpS: inToolOf(inTool.kind)!.setUpS,
      rate: pumpRate(inTool, airings).rate,
      wheelsAtOnce: wheelsAtOnceOf(inTool),
    },
    outsideKpaAbs: airPressureKpaAbs(altitudeM),
    pullOverMin: pullOverMin ?? USUAL_PULL_OVER_MIN[familyOf(rig.family).kind],
    central,
  };
}

/** How many stretches make one round: the fewest of which the whole day is repetitions. */
function roundLength(stretches: readonly RouteStretchBody[]): number {
  const bare = stretches.map(({ id: _, found: __, ...each }) => JSON.stringify(each));
  for (let length = 1; length < bare.length; length += 1) {
    if (bare.length % length === 0 && bare.every((each, index) => each === bare[index % length])) return length;
  }
  return bare.length;
}

/** The day with its round driven once more: lane, field, lane, and again. */
export const onceMore = (stretches: readonly RouteStretchBody[], newId: () => string): RouteStretchBody[] => [
  ...stretches,
  ...stretches.slice(0, roundLength(stretches)).map((each) => ({ ...each, id: newId(), found: null })),
];

/** One change of a stretch of a route. */
export const withStretch = (
  stretches: readonly RouteStretchBody[],
  id: string,
  change: Partial<RouteStretchBody>,
): RouteStretchBody[] => stretches.map((each) => (each.id === id ? { ...each, ...change } : each));

/** The route once a stretch was driven: how it was found is kept, and the next one is ahead; at the end it is over. */
export function drivenOn(route: RouteBody, found: Found): RouteBody {
  const { drive, stretches } = route;
  if (!drive) return route;
  const driven = stretches[drive.at];
  const at = drive.at + 1;
  return {
    ...route,
    stretches: driven ? withStretch(stretches, driven.id, { found }) : stretches,
    drive: at >= stretches.length ? null : { ...drive, at },
  };
}
