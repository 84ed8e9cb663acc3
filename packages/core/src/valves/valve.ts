import type { Kind } from '../families/family';

/** Kinds of valve, by what a chuck or a core tool has to fit. */
export const VALVES = ['schrader', 'presta', 'dunlop', 'largeBore'] as const;
export type ValveCode = (typeof VALVES)[number];

/** The valve that each kind of rig most often has, where nobody looked. Assumption. */
const USUAL: Record<Kind, ValveCode> = {
  car: 'schrader',
  quad: 'schrader',
  motorcycle: 'schrader',
  bicycle: 'presta',
  farm: 'schrader',
};

export const usualValve = (kind: Kind): ValveCode => USUAL[kind];
