import type { Family } from './family';
import { inLine, motorcycle } from './shared';

/** Light trail motorcycles, 125 to 160 kg (common practice, no source). */
export const lightSingle = { ...motorcycle, code: 'lightSingle', axles: inLine(1430) } as const satisfies Family;
