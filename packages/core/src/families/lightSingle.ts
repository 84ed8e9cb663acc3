import { psi } from '../units/units';
import type { Family } from './family';
import { between, inLine, motorcycle, motorcycleBead } from './shared';

/** Light trail motorcycles, 125 to 160 kg (common practice, no source). */
export const lightSingle = {
  ...motorcycle,
  code: 'lightSingle',
  axles: inLine(1430),
  // Trials machines are ridden on a fifth of what others have.
  likely: { ...motorcycle.likely, roadKpa: between(psi(10), psi(33)) },
  bead: motorcycleBead(10, 6),
  classPressure: { lowKpa: psi(20), highKpa: psi(25), totalKg: 220 },
} as const satisfies Family;
