import { dampSand } from './dampSand';
import { forestMud } from './forestMud';
import { gravel } from './gravel';
import type { Ground } from './ground';
import { pavement } from './pavement';
import { rockyTrack } from './rockyTrack';
import { snow } from './snow';
import { softSand } from './softSand';
import { stuck } from './stuck';
import { verySoftSand } from './verySoftSand';

/** Every ground, from the firmest to the last resort. A new ground is a file in this folder and a line here. */
export const GROUNDS = [
  pavement,
  gravel,
  rockyTrack,
  forestMud,
  snow,
  dampSand,
  softSand,
  verySoftSand,
  stuck,
] as const satisfies readonly Ground[];

export type GroundCode = (typeof GROUNDS)[number]['code'];

export const GROUND_CODES = GROUNDS.map(({ code }) => code) as [GroundCode, ...GroundCode[]];

/** The ground of a code. */
export const groundOf = (code: GroundCode): Ground => GROUNDS.find((ground) => ground.code === code)!;
