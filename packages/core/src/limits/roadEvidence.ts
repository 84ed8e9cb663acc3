import { isTrailer } from '../loads/geometry';
import { assumption, chosen } from '../sources/source';
import type { Limit } from './limit';

/** On pavement a farm machine is never sent out softer than its driver runs it there. */
export const roadPressure = {
  code: 'roadPressure',
  withoutLoad: true,
  source: chosen,
  pressureKpa: ({ family, ground, axle }) => (family.kind === 'farm' && ground.paved === true ? axle.roadKpa : null),
  trace: (_, pressureKpa) => [
    { code: 'roadEvidence', inputs: {}, result: { name: 'roadKpa', value: pressureKpa }, source: chosen },
  ],
} as const satisfies Limit;

/** Wheels of farm trailers go no lower without their data sheet, kPa. Assumption. */
const ROLLING_KPA = 80;

/** Tires that only roll are not let down as far as a drive tire, unless their own data sheet says so. */
export const freeRolling = {
  code: 'freeRolling',
  withoutLoad: true,
  source: assumption,
  pressureKpa: ({ family, axle }) =>
    family.kind === 'farm' && isTrailer(axle.position) && axle.curve?.from !== 'rows' ? ROLLING_KPA : null,
  trace: (_, pressureKpa) => [
    { code: 'freeRolling', inputs: {}, result: { name: 'lowestKpa', value: pressureKpa }, source: assumption },
  ],
} as const satisfies Limit;
