import { published, type Source } from '../sources/source';
import type { Flexion } from '../tires/tire';

export const FLEXION_SOURCE: Source = published(
  'Tire and Rim Association; European Tyre and Rim Technical Organisation, IF and VF designations',
);

/** How much more than a standard tire of its size it carries at the same pressure. Published, from memory. */
const MORE: Record<Flexion, number> = { IF: 0.2, VF: 0.4 };

/**
 * Load of an IF or VF tire at the pressure at which a standard tire of its size carries so much, kg.
 *
 * @example flexionLoadKg(5000, 'VF') // 7000
 */
export const flexionLoadKg = (standardKg: number, flexion: Flexion): number => standardKg * (1 + MORE[flexion]);

/**
 * Pressure at which an IF or VF tire carries what a standard tire of its size carries at so much, kPa: the other way
 * to take the same gain.
 *
 * @example flexionPressureKpa(160, 'IF') // 128
 */
export const flexionPressureKpa = (standardKpa: number, flexion: Flexion): number => standardKpa * (1 - MORE[flexion]);
