import type { Family } from './family';
import { inLine, motorcycle } from './shared';

/** Trail motorcycles with one cylinder, 160 to 200 kg (common practice, no source). */
export const trailSingle = { ...motorcycle, code: 'trailSingle', axles: inLine(1480) } as const satisfies Family;
