import { adventureTwin } from './adventureTwin';
import { cityBike } from './cityBike';
import { electricBike } from './electricBike';
import type { Family } from './family';
import { farmTrailer } from './farmTrailer';
import { fatBike } from './fatBike';
import { fourWheel } from './fourWheel';
import { gravelBike } from './gravelBike';
import { lightSingle } from './lightSingle';
import { mountainBike } from './mountainBike';
import { quad } from './quad';
import { roadBike } from './roadBike';
import { sideBySide } from './sideBySide';
import { sprayer } from './sprayer';
import { tractor } from './tractor';
import { trailSingle } from './trailSingle';
import { vanTruck } from './vanTruck';

/** Every family. A new one is a file in this folder and a line here. */
export const FAMILIES = [
  fourWheel,
  vanTruck,
  quad,
  sideBySide,
  adventureTwin,
  trailSingle,
  lightSingle,
  gravelBike,
  mountainBike,
  fatBike,
  electricBike,
  roadBike,
  cityBike,
  tractor,
  sprayer,
  farmTrailer,
] as const satisfies readonly Family[];

export type FamilyCode = (typeof FAMILIES)[number]['code'];
export const FAMILY_CODES = FAMILIES.map(({ code }) => code) as [FamilyCode, ...FamilyCode[]];

const BY_CODE: ReadonlyMap<string, Family> = new Map(FAMILIES.map((family) => [family.code, family]));
export const familyOf = (code: FamilyCode): Family => BY_CODE.get(code)!;
