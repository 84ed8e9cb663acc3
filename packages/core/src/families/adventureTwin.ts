import type { Family } from './family';
import { inLine, motorcycle } from './shared';

/** Adventure motorcycles with two cylinders, 200 to 270 kg (common practice, no source). */
export const adventureTwin = { ...motorcycle, code: 'adventureTwin', axles: inLine(1580) } as const satisfies Family;
