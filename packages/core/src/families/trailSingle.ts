import { psi } from '../units/units';
import type { Family } from './family';
import { between, inLine, motorcycle, motorcycleBead } from './shared';

/** Trail motorcycles with one cylinder, 160 to 200 kg (common practice, no source). */
export const trailSingle = {
  ...motorcycle,
  code: 'trailSingle',
  axles: inLine(1480),
  // Trials machines are ridden on a fifth of what others have.
  likely: { ...motorcycle.likely, roadKpa: between(psi(10), psi(33)) },
  bead: motorcycleBead(10, 6),
  classPressure: { lowKpa: psi(20), highKpa: psi(30), totalKg: 260 },
} as const satisfies Family;
