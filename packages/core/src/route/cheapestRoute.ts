/** What one setting means on one stretch. */
export interface StageCost {
  readonly driveMin: number;
  /** Beyond the driving, in minutes: the chance of bogging times what it takes, and whatever else has a price. */
  readonly extraMin: number;
}

/** One stretch as the search sees it. */
export interface RouteStage {
  /** By setting; null where a hard limit forbids the setting here. */
  readonly costs: readonly (StageCost | null)[];
  /** Whether one can stop right before it, and whether air is to be had there for nothing. */
  readonly before: 'stop' | 'noStop' | 'freeAir';
  /** Minutes since the day began: not before, and through it by. Null where it does not matter. */
  readonly opensMin: number | null;
  readonly closesMin: number | null;
  /** Added to a stop right before it that puts air in, minutes: nobody pumps on soft ground in order to stop again. */
  readonly pumpPriceMin?: number;
}

/** A change of pressures: how long it takes, and how the pump stands after it. */
export interface RouteStop {
  readonly minutes: number;
  readonly pump: number;
}

/** A day to be searched: settings and states of the pump are numbers from 0. */
export interface RouteGraph {
  readonly stages: readonly RouteStage[];
  readonly startSetting: number;
  readonly startPump: number;
  /** Null where the air does not suffice. Never asked for no change. */
  readonly stop: (from: number, to: number, pump: number, freeAir: boolean) => RouteStop | null;
  /** Whether a change puts air in. */
  readonly raises?: (from: number, to: number) => boolean;
  /** How a pump stands after minutes in which nobody pumped. */
  readonly rested: (pump: number, minutes: number) => number;
  /** Added to what each stop takes, minutes: what a person would give to be spared it. */
  readonly stopPriceMin: number;
}

/** A stretch as it is driven. */
export interface RouteStep {
  readonly setting: number;
  /** The stop before it; null where nothing is changed. */
  readonly stop: RouteStop | null;
  readonly waitMin: number;
  readonly driveMin: number;
  readonly extraMin: number;
  /** When it is begun and done, minutes since the day began. */
  readonly fromMin: number;
  readonly untilMin: number;
}

export interface RoutePath {
  readonly steps: readonly RouteStep[];
  readonly stops: number;
  /** Minutes on the clock if nothing goes wrong. */
  readonly clockMin: number;
  /** What is made as small as can be: minutes and everything that has a price in them. */
  readonly cost: number;
}

interface Label {
  readonly cost: number;
  readonly clock: number;
  readonly stops: number;
  readonly pump: number;
  readonly step: RouteStep | null;
  readonly before: Label | null;
}

/** Most labels kept for one setting and state of the pump, where the clock matters too. Assumption: far more than ever differ. */
const MOST_LABELS = 32;
/** Two costs that lie this near are the same: then fewer stops decide, minutes. */
const SAME_MIN = 1e-9;

/** The next stretch with a setting; null where that cannot be. */
function drive(graph: RouteGraph, index: number, label: Label, setting: number): Label | null {
  const { costs, before, opensMin, closesMin, pumpPriceMin = 0 } = graph.stages[index]!;
  const cost = costs[setting];
  if (!cost) return null;
  const from = label.step?.setting ?? graph.startSetting;
  let stop: RouteStop | null = null;
  if (setting !== from) {
    if (before === 'noStop') return null;
    stop = graph.stop(from, setting, label.pump, before === 'freeAir');
    if (!stop) return null;
  }
  const pumps = stop !== null && before !== 'freeAir' && graph.raises?.(from, setting) === true;
  // A change on the move costs nothing.
  const stopCost = stop && stop.minutes > 0 ? stop.minutes + graph.stopPriceMin + (pumps ? pumpPriceMin : 0) : 0;
  const arrives = label.clock + (stop?.minutes ?? 0);
  const waitMin = opensMin === null ? 0 : Math.max(0, opensMin - arrives);
  const fromMin = arrives + waitMin;
  const untilMin = fromMin + cost.driveMin;
  if (closesMin !== null && untilMin > closesMin + SAME_MIN) return null;
  return {
    cost: label.cost + stopCost + waitMin + cost.driveMin + cost.extraMin,
    clock: untilMin,
    stops: label.stops + (stop ? 1 : 0),
    pump: graph.rested(stop?.pump ?? label.pump, waitMin + cost.driveMin),
    step: { setting, stop, waitMin, driveMin: cost.driveMin, extraMin: cost.extraMin, fromMin, untilMin },
    before: label,
  };
}

const startOf = ({ startPump }: RouteGraph): Label => ({
  cost: 0,
  clock: 0,
  stops: 0,
  pump: startPump,
  step: null,
  before: null,
});

function pathOf(last: Label): RoutePath {
  const steps: RouteStep[] = [];
  for (let label: Label | null = last; label?.step; label = label.before) steps.unshift(label.step);
  return { steps, stops: last.stops, clockMin: last.clock, cost: last.cost };
}

const isBetter = (one: Label, other: Label): boolean =>
  one.cost < other.cost - SAME_MIN || (one.cost < other.cost + SAME_MIN && one.stops < other.stops);

/**
 * The cheapest way through a day: dynamic programming over stretch, setting and state of the pump. Where stretches open or
 * close, of each state every label is kept that is earlier, or paid less beside the clock, than the others. Exact. Null where there is no way.
 */
export function cheapestRoute(graph: RouteGraph): RoutePath | null {
  const { stages } = graph;
  const settings = stages[0]?.costs.length ?? 0;
  // The clock matters as long as a window is ahead.
  const lastWindow = stages.findLastIndex(({ opensMin, closesMin }) => opensMin !== null || closesMin !== null);
  let labels: readonly Label[] = [startOf(graph)];
  for (let index = 0; index < stages.length; index += 1) {
    const best = new Map<number, Label[]>();
    for (const label of labels) {
      for (let setting = 0; setting < settings; setting += 1) {
        const next = drive(graph, index, label, setting);
        if (!next) continue;
        const state = next.pump * settings + setting;
        const there = best.get(state);
        if (!there) best.set(state, [next]);
        else keep(there, next, index < lastWindow);
      }
    }
    labels = [...best.values()].flat();
    if (labels.length === 0) return null;
  }
  return pathOf(labels.reduce((one, other) => (isBetter(other, one) ? other : one)));
}

function keep(there: Label[], next: Label, byClock: boolean): void {
  // Who is earlier may have to wait: then only what it paid beside the clock counts.
  const beats = (one: Label, other: Label): boolean =>
    !isBetter(other, one) &&
    (!byClock || (one.clock <= other.clock && one.cost - one.clock <= other.cost - other.clock + SAME_MIN));
  if (there.some((label) => beats(label, next))) return;
  const left = there.filter((label) => !beats(next, label));
  left.push(next);
  if (left.length > MOST_LABELS) {
    left.sort((one, other) => one.cost - other.cost);
    // The earliest stays, so that a window that can be met is met.
    const earliest = left.reduce((one, other) => (other.clock < one.clock ? other : one));
    left.length = MOST_LABELS - 1;
    if (!left.includes(earliest)) left.push(earliest);
  }
  there.splice(0, there.length, ...left);
}

/** The same day with its settings given, stretch by stretch; null where that cannot be driven. */
export function routeOf(graph: RouteGraph, settings: readonly number[]): RoutePath | null {
  let label = startOf(graph);
  for (let index = 0; index < graph.stages.length; index += 1) {
    const next = drive(graph, index, label, settings[index]!);
    if (!next) return null;
    label = next;
  }
  return pathOf(label);
}
