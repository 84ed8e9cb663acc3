import { psi } from '../units/units';
import type { Family } from './family';
import { inLine, motorcycle, motorcycleBead } from './shared';

/** Adventure motorcycles with two cylinders, 200 to 270 kg (common practice, no source). */
export const adventureTwin = {
  ...motorcycle,
  code: 'adventureTwin',
  axles: inLine(1580),
  bead: motorcycleBead(12, 12),
  classPressure: { lowKpa: psi(30), highKpa: psi(40), totalKg: 320 },
} as const satisfies Family;
