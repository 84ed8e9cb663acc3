import { psi } from '../units/units';
import type { Family } from './family';
import { inLine, motorcycle, motorcycleBead } from './shared';

/** Trail motorcycles with one cylinder, 160 to 200 kg (common practice, no source). */
export const trailSingle = {
  ...motorcycle,
  code: 'trailSingle',
  axles: inLine(1480),
  bead: motorcycleBead(10, 6),
  classPressure: { lowKpa: psi(20), highKpa: psi(30), totalKg: 260 },
} as const satisfies Family;
