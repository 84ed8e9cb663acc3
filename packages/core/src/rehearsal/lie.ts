import { soilOf, type Soil, type SoilCode } from '../soil/soils';
import { patches } from './softness';

/** A piece of a way. */
export interface Leg {
  readonly lengthM: number;
  /** How steep it begins and ends, degrees; straight between. */
  readonly fromDeg: number;
  readonly toDeg: number;
  /** Gives way; a firm track where not. */
  readonly soft: boolean;
  /** Softer than the rest, as a natural logarithm. */
  readonly shift?: number;
}

/** A way, from 0 on; it is firm and level before and after. */
export interface Lie {
  readonly soil: SoilCode;
  /** How deep the soft layer lies, m; null where it has no bottom within reach. */
  readonly depthM: number | null;
  readonly legs: readonly Leg[];
}

/** How one such place turned out: how much softer than meant in all, and from patch to patch. */
export interface Draw {
  readonly seed: number;
  readonly shift: number;
  readonly scatter: number;
}

/** A way as it turned out. */
export interface Way {
  readonly lie: Lie;
  readonly draw: Draw;
  readonly lengthM: number;
  readonly slopeDeg: (atM: number) => number;
  readonly heightM: (atM: number) => number;
  /** What gives way there; null on firm ground. */
  readonly soilAt: (atM: number) => Soil | null;
}

/** How steep pieces are summed to a height, m. */
const STEP_M = 0.1;

/** A soil that gives way under e^(-shift) of the pressure. */
export function softened(soil: Soil, shift: number): Soil {
  const factor = Math.exp(-shift);
  return { ...soil, kc: soil.kc * factor, kPhi: soil.kPhi * factor };
}

const begins = (legs: readonly Leg[]): readonly number[] =>
  legs.reduce<number[]>((all, { lengthM }) => [...all, all.at(-1)! + lengthM], [0]);

/** Lays a way out. */
export function wayOf(lie: Lie, draw: Draw): Way {
  const starts = begins(lie.legs);
  const lengthM = starts.at(-1)!;
  const legAt = (atM: number): number => (atM < 0 || atM >= lengthM ? -1 : starts.findIndex((from) => atM < from) - 1);
  const slopeDeg = (atM: number): number => {
    const leg = lie.legs[legAt(atM)];
    if (!leg) return 0;
    return leg.fromDeg + ((leg.toDeg - leg.fromDeg) * (atM - starts[lie.legs.indexOf(leg)]!)) / leg.lengthM;
  };
  const heights = [0];
  for (let atM = STEP_M / 2; atM < lengthM; atM += STEP_M) {
    heights.push(heights.at(-1)! + STEP_M * Math.tan((slopeDeg(atM) * Math.PI) / 180));
  }
  const heightM = (atM: number): number => {
    const place = Math.min(heights.length - 1, Math.max(0, atM / STEP_M));
    const cell = Math.min(heights.length - 2, Math.floor(place));
    return heights[cell]! + (heights[cell + 1]! - heights[cell]!) * (place - cell);
  };
  const soil = soilOf(lie.soil);
  const patch = patches(draw.seed, draw.scatter);
  const known = new Map<number, Soil | null>();
  const soilAt = (atM: number): Soil | null => {
    const cell = Math.round(atM / STEP_M);
    const before = known.get(cell);
    if (before !== undefined) return before;
    const leg = lie.legs[legAt(cell * STEP_M)];
    const value = leg?.soft ? softened(soil, draw.shift + (leg.shift ?? 0) + patch(cell * STEP_M)) : null;
    known.set(cell, value);
    return value;
  };
  return { lie, draw, lengthM, slopeDeg, heightM, soilAt };
}

/** Ground that throws itself out from under a spinning wheel: what holds together does so less. Assumption. */
const COHERENT_KPA = 3;
const COHERENT_DIGS = 0.4;
export const digsLike = ({ cohesionKpa }: Soil): number => (cohesionKpa < COHERENT_KPA ? 1 : COHERENT_DIGS);
