import { FARM_DUAL_FACTOR } from '../capacity/duals';
import { pressingOnly, type DepthOnly, type FarmAxle, type FarmSoil } from './pressing';

/** What can be done about it. */
export const LEVERS = ['lowerPressure', 'lessLoad', 'duals', 'widerTires', 'waiting', 'fewerPasses'] as const;
export type LeverCode = (typeof LEVERS)[number];

export interface Lever {
  readonly code: LeverCode;
  /** What it is done to: kPa, kg on a tire, m of width, days. */
  readonly to: {
    readonly pressureKpa: number;
    readonly loadKg: number;
    readonly widthM: number;
    readonly days: number;
  };
  /** What it comes to at each depth then. */
  readonly depths: readonly DepthOnly[];
  /** How much of the harm it takes away, 0 to 1. */
  readonly gain: number;
  /** The pressure is what the tire's own curve has for that load; false where another tire's own table decides. */
  readonly byOwnCurve: boolean;
}

/** Why a lever is not offered. */
export type NoLever =
  /** It has the least already that its own curve allows for this load. */
  | { readonly code: LeverCode; readonly because: 'atLeast' }
  /** Its curve is not known, or the load is past it. */
  | { readonly code: LeverCode; readonly because: 'noCurve' }
  /** There are duals on it already. */
  | { readonly code: LeverCode; readonly because: 'hasDuals' }
  /** It is no axle that takes them. */
  | { readonly code: LeverCode; readonly because: 'noPlace' }
  /** It takes away less than a hundredth. */
  | { readonly code: LeverCode; readonly because: 'noGain' }
  /** It runs there once as it is. */
  | { readonly code: LeverCode; readonly because: 'oncePassed' };

export interface LeverInput {
  readonly axle: FarmAxle;
  readonly field: FarmSoil;
  readonly depthsM: readonly number[];
  /** The least pressure that the tire's own curve has for a load at field speed, kPa; null where it is past it or not known. */
  readonly leastKpa: (loadKg: number) => number | null;
  /** How much of the load can be left behind, 0 to 1. */
  readonly lessLoad: number;
  readonly waitDays: number;
  /** As often as wheels run there at the least: the axles of the rig that follow each other. */
  readonly fewestPasses: number;
  /** Another tire can be put beside each. */
  readonly takesDuals: boolean;
}

/** Lower by less than this is no lever, kPa: about half a psi. Assumption. */
const WORTH_KPA = 3.5;
/** Less is no lever. Assumption. */
const WORTH_GAIN = 0.01;
/** Next wider tire, and what it takes the pressure down by. Assumptions: its own table decides. */
const WIDER = 1.2;
/** Between the two tires of a pair, m. Assumption. */
const DUAL_GAP_M = 0.08;

/** What gives way for good counts the more the deeper it is: nothing brings a subsoil back. Assumption. */
const WEIGHT_PER_M = 4;
const harm = (depths: readonly DepthOnly[]): number =>
  depths.reduce((sum, { depthM, chance, severity }) => sum + (1 + WEIGHT_PER_M * depthM) * chance * (1 + severity), 0);

/** Each tire of an axle with another beside it on the outside; null where two stand on a side already. */
function withDuals({ tire, tiresAtM }: FarmAxle): readonly number[] | null {
  const stepM = tire.widthM + DUAL_GAP_M;
  if (tiresAtM.length > 2) return null;
  return tiresAtM.flatMap((x) => (x === 0 ? [-stepM / 2, stepM / 2] : [x, x + Math.sign(x) * stepM]));
}

/**
 * What helps, the most first, each at a pressure that the tire's own curve allows for the load it then has. Load decides
 * how deep it goes, pressure what happens at the top; waiting spares the top.
 */
export function levers(input: LeverInput): { readonly all: readonly Lever[]; readonly none: readonly NoLever[] } {
  const { axle, field, depthsM, leastKpa, lessLoad, waitDays } = input;
  const { tire } = axle;
  const before = harm(pressingOnly(axle, field, depthsM));
  const all: Lever[] = [];
  const none: NoLever[] = [];
  const offer = (code: LeverCode, then: FarmAxle, on: FarmSoil = field, byOwnCurve = true): void => {
    const depths = pressingOnly(then, on, depthsM);
    const gain = before === 0 ? 0 : 1 - harm(depths) / before;
    if (gain < WORTH_GAIN) {
      none.push({ code, because: 'noGain' });
      return;
    }
    all.push({
      code,
      to: {
        pressureKpa: then.tire.pressureKpa,
        loadKg: then.tire.loadKg,
        widthM: then.tire.widthM,
        days: on.daysSinceRain,
      },
      depths,
      gain,
      byOwnCurve,
    });
  };

  const least = leastKpa(tire.loadKg);
  if (least === null) none.push({ code: 'lowerPressure', because: 'noCurve' });
  else if (least > tire.pressureKpa - WORTH_KPA) none.push({ code: 'lowerPressure', because: 'atLeast' });
  else offer('lowerPressure', { ...axle, tire: { ...tire, pressureKpa: least } });

  const lightKg = tire.loadKg * (1 - lessLoad);
  const lightKpa = leastKpa(lightKg);
  // Never firmer than it is now for carrying less.
  const pressureKpa = lightKpa === null ? tire.pressureKpa : Math.min(tire.pressureKpa, lightKpa);
  offer('lessLoad', { ...axle, tire: { ...tire, loadKg: lightKg, pressureKpa } }, field, lightKpa !== null);

  const places = withDuals(axle);
  const pairKg = tire.loadKg / 2;
  // Two side by side carry less than twice one: what each has to be good for alone.
  const pairKpa = leastKpa(pairKg / FARM_DUAL_FACTOR);
  if (!input.takesDuals) none.push({ code: 'duals', because: 'noPlace' });
  else if (places === null) none.push({ code: 'duals', because: 'hasDuals' });
  else if (pairKpa === null) none.push({ code: 'duals', because: 'noCurve' });
  else
    offer('duals', {
      tire: { ...tire, loadKg: pairKg, pressureKpa: Math.min(tire.pressureKpa, pairKpa) },
      tiresAtM: places,
      passes: axle.passes,
    });

  const wider = { ...tire, widthM: tire.widthM * WIDER, pressureKpa: tire.pressureKpa / WIDER };
  offer('widerTires', { ...axle, tire: wider }, field, false);
  offer('waiting', axle, { ...field, daysSinceRain: field.daysSinceRain + waitDays });
  if (axle.passes <= input.fewestPasses) none.push({ code: 'fewerPasses', because: 'oncePassed' });
  else offer('fewerPasses', { ...axle, passes: input.fewestPasses });
  return { all: all.sort((a, b) => b.gain - a.gain), none };
}
