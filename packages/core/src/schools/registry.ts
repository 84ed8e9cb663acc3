import type { Family } from '../families/family';
import { bodyWeight } from './bodyWeight';
import { classTable } from './classTable';
import { deflectionAndShare } from './deflectionAndShare';
import { equalDeflection } from './equalDeflection';
import { equalDrop } from './equalDrop';
import { fifteenDrop } from './fifteenDrop';
import { fixedTable } from './fixedTable';
import { fromRoad } from './fromRoad';
import { loadSpeedTable } from './loadSpeedTable';
import { makersFigure } from './makersFigure';
import { nearMaximum } from './nearMaximum';
import { onePressure } from './onePressure';
import { ownTrial } from './ownTrial';
import type { School } from './school';
import { shareOfRoad } from './shareOfRoad';
import { sidewallMiddle } from './sidewallMiddle';
import { sidewallRules } from './sidewallRules';
import { stepDown } from './stepDown';

/** Every school; the first of a kind of rig is its default. */
export const SCHOOLS = [
  deflectionAndShare,
  sidewallRules,
  classTable,
  equalDrop,
  loadSpeedTable,
  fromRoad,
  equalDeflection,
  shareOfRoad,
  fixedTable,
  stepDown,
  makersFigure,
  fifteenDrop,
  bodyWeight,
  sidewallMiddle,
  nearMaximum,
  onePressure,
  ownTrial,
] as const satisfies readonly School[];

export type SchoolCode = (typeof SCHOOLS)[number]['code'];
export const SCHOOL_CODES = SCHOOLS.map(({ code }) => code) as [SchoolCode, ...SchoolCode[]];

const BY_CODE: ReadonlyMap<string, School> = new Map(SCHOOLS.map((school) => [school.code, school]));
export const schoolOf = (code: SchoolCode): School => BY_CODE.get(code)!;

/**
 * The schools of a family, the default first: the one that goes by the rig's own load and tire, unless the family begins
 * with another.
 */
export function schoolsFor({ kind, firstSchool }: Pick<Family, 'kind' | 'firstSchool'>): readonly SchoolCode[] {
  const key = `${kind} ${firstSchool ?? ''}`;
  const known = OF_FAMILY.get(key);
  if (known) return known;
  const own = SCHOOLS.filter((school: School) => school.kinds.includes(kind)).map(({ code }) => code);
  const first = own.filter((code) => code === firstSchool);
  const schools = [...first, ...own.filter((code) => code !== firstSchool)];
  OF_FAMILY.set(key, schools);
  return schools;
}
/** Put in order once: every plan asks for them on every axle. */
const OF_FAMILY = new Map<string, readonly SchoolCode[]>();
