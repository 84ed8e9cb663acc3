import type { Family, Kind } from '../families/family';
import type { FamilyCode } from '../families/registry';
import { bikePark } from './bikePark';
import { brokenPavement } from './brokenPavement';
import { climb } from './climb';
import { dampSand } from './dampSand';
import { dirtRoad } from './dirtRoad';
import { fieldDry } from './fieldDry';
import { fieldMoist } from './fieldMoist';
import { fieldWet } from './fieldWet';
import { forestMud } from './forestMud';
import { gravel } from './gravel';
import type { Ground } from './ground';
import { hardpack } from './hardpack';
import { lane } from './lane';
import { looseGravel } from './looseGravel';
import { mud } from './mud';
import { pavement } from './pavement';
import { plowing } from './plowing';
import { rock } from './rock';
import { rockCrawl } from './rockCrawl';
import { rockyTrack } from './rockyTrack';
import { roots } from './roots';
import { smoothHard } from './smoothHard';
import { snow } from './snow';
import { softSand } from './softSand';
import { stuck } from './stuck';
import { verySoftSand } from './verySoftSand';
import { wetTrail } from './wetTrail';

/** Every ground, from the firmest to the last resort. A new ground is a file in this folder and a line here. */
export const GROUNDS = [
  pavement,
  lane,
  smoothHard,
  brokenPavement,
  dirtRoad,
  hardpack,
  gravel,
  looseGravel,
  bikePark,
  rock,
  rockyTrack,
  roots,
  wetTrail,
  climb,
  forestMud,
  rockCrawl,
  mud,
  plowing,
  snow,
  dampSand,
  softSand,
  verySoftSand,
  fieldDry,
  fieldMoist,
  fieldWet,
  stuck,
] as const satisfies readonly Ground[];

export type GroundCode = (typeof GROUNDS)[number]['code'];

export const GROUND_CODES = GROUNDS.map(({ code }) => code) as [GroundCode, ...GroundCode[]];

/** The ground of a code. */
export const groundOf = (code: GroundCode): Ground => BY_CODE.get(code)!;
const BY_CODE: ReadonlyMap<string, Ground> = new Map(GROUNDS.map((ground) => [ground.code, ground]));

/** Whether a family meets a ground at all. */
export const meets = ({ kinds, notFor }: Ground, { kind, code }: Pick<Family, 'kind' | 'code'>): boolean =>
  kinds.includes(kind) && !(notFor as readonly string[] | undefined)?.includes(code);

/** The grounds that a family meets, from the firmest to the last resort. */
export const groundsFor = (family: Pick<Family, 'kind' | 'code'>): readonly GroundCode[] =>
  GROUNDS.filter((ground: Ground) => meets(ground, family)).map(({ code }) => code);

/** Where the road's pressure rules, whatever else is driven on. */
export const PAVEMENT: GroundCode = pavement.code;
/** Below the ordinary floors, for the way out of where one is stuck. */
export const STUCK: GroundCode = stuck.code;

/** What each kind of rig most often sets out for: where a plan begins. */
const MOST_OFTEN: Record<Kind, GroundCode> = {
  car: softSand.code,
  quad: snow.code,
  motorcycle: dirtRoad.code,
  bicycle: hardpack.code,
  farm: fieldMoist.code,
};

/** Families that set out for another ground than most of their kind. */
const OWN_GROUND: Partial<Record<FamilyCode, GroundCode>> = {
  roadBike: smoothHard.code,
  cityBike: smoothHard.code,
  gravelBike: looseGravel.code,
  fatBike: snow.code,
};

/** The wanted ground where this family meets it, else the one it most often sets out for. */
export const groundOr = (family: Pick<Family, 'kind' | 'code'>, wanted: string | undefined): GroundCode =>
  groundsFor(family).find((code) => code === wanted) ??
  OWN_GROUND[family.code as FamilyCode] ??
  MOST_OFTEN[family.kind];
