import { fillPlan } from '../air/airUp';
import { budgetLiters } from '../air/compressor';
import { drainPlan } from '../air/letOut';
import type { Rate } from '../air/timedDrop';
import type { WheelRef } from '../air/wheel';
import type { AxlePosition } from '../loads/geometry';
import type { OutTool } from '../tools/airTool';
import type { Pump } from '../tools/pump';
import { workshopCompressor } from '../tools/workshopCompressor';
import type { RouteGraph, RouteStop } from './cheapestRoute';

/** Cold pressures of all axles. */
export type Setting = readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];

/** What a person changes pressures with. */
export interface RouteTools {
  /** In the order they are gone round. */
  readonly wheels: readonly (WheelRef & { readonly volumeL: number; readonly walkS: number })[];
  readonly out: {
    readonly tool: OutTool;
    readonly rate: Pick<Rate, 'conductanceLPerS' | 'relativeError'>;
    readonly wheelsAtOnce: number;
  };
  readonly in: {
    readonly pump: Pump;
    readonly setUpS: number;
    /** The person's own rate over the label's. */
    readonly rate: number;
    readonly wheelsAtOnce: number;
  };
  readonly outsideKpaAbs: number;
  /** Finding a place, getting out, putting things away, min. */
  readonly pullOverMin: number;
  /** Changes while it drives: a change takes no stop. */
  readonly central: boolean;
}

/** Steps of how warm a pump is, and of how much of a charge is gone. Rounded so that it errs warm and empty. */
const WARM_STEPS = 6;
const CHARGE_STEPS = 20;

/** What a change takes from each setting to each other, worked out once each. */
export function routeStops(
  tools: RouteTools,
  settings: readonly Setting[],
): Pick<RouteGraph, 'stop' | 'rested' | 'raises'> & {
  readonly fill: (pump: number) => { ranS: number; leftLiters: number };
} {
  const { pump } = tools.in;
  const budget = budgetLiters(pump.budget);
  const limited = Number.isFinite(budget);
  const pumpSteps = limited ? CHARGE_STEPS : WARM_STEPS;
  const onS = pump.duty ? pump.duty.onMin * 60 : null;
  const fill = (state: number): { ranS: number; leftLiters: number } => ({
    ranS: !limited && onS !== null ? (state / pumpSteps) * onS : 0,
    leftLiters: limited ? budget * (1 - state / pumpSteps) : budget,
  });
  /** Rounded up, so that a pump is rather warmer or emptier than it is. */
  const stateOf = (share: number): number => Math.min(pumpSteps, Math.ceil(share * pumpSteps - 1e-9));

  const known = new Map<number, RouteStop | null>();
  const stop = (from: number, to: number, state: number, freeAir: boolean): RouteStop | null => {
    const key = ((from * settings.length + to) * (pumpSteps + 1) + state) * 2 + (freeAir ? 1 : 0);
    const before = known.get(key);
    if (before !== undefined) return before;
    const value = workOut(from, to, state, freeAir);
    known.set(key, value);
    return value;
  };
  const workOut = (from: number, to: number, state: number, freeAir: boolean): RouteStop | null => {
    if (tools.central) return { minutes: 0, pump: state };
    const at = (setting: number, position: AxlePosition): number =>
      settings[setting]!.find((axle) => axle.position === position)!.pressureKpa;
    const wheels = tools.wheels.map((wheel) => ({
      ...wheel,
      fromKpa: at(from, wheel.position),
      toKpa: at(to, wheel.position),
    }));
    const down = wheels.filter(({ fromKpa, toKpa }) => toKpa < fromKpa);
    const up = wheels.filter(({ fromKpa, toKpa }) => toKpa > fromKpa);
    const { out } = tools;
    const downS =
      down.length === 0 ? 0 : drainPlan(out.tool, out.rate, down, tools.outsideKpaAbs, out.wheelsAtOnce).totalS;
    if (up.length === 0) return { minutes: tools.pullOverMin + downS / 60, pump: state };
    const forNothing = { pump: workshopCompressor.pump, setUpS: workshopCompressor.setUpS };
    const filled = fillPlan({
      wheels: up,
      outsideKpaAbs: tools.outsideKpaAbs,
      ...(freeAir ? forNothing : { ...tools.in, ...fill(state) }),
    });
    if (filled.shortAt) return null;
    const used = limited
      ? (budget - fill(state).leftLiters + filled.liters) / budget
      : onS === null
        ? 0
        : filled.ranS / onS;
    return {
      minutes: tools.pullOverMin + (downS + filled.totalS) / 60,
      pump: freeAir ? state : stateOf(used),
    };
  };
  const rested = (state: number, minutes: number): number => {
    // A charge does not come back on the way; a warm pump cools as it does at rest.
    if (limited || !pump.duty || state === 0) return state;
    return Math.max(0, stateOf(state / pumpSteps - minutes / pump.duty.restMin));
  };
  const raises = (from: number, to: number): boolean =>
    !tools.central &&
    settings[to]!.some(({ position, pressureKpa }) => {
      const before = settings[from]!.find((axle) => axle.position === position)!;
      return pressureKpa > before.pressureKpa + 1e-6;
    });
  return { stop, rested, raises, fill };
}
