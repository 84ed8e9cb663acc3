import { equalDeflection } from './equalDeflection';
import { fixedTable } from './fixedTable';
import type { School } from './school';
import { shareOfRoad } from './shareOfRoad';
import { stepDown } from './stepDown';

/** Every school, the default first. */
export const SCHOOLS = [equalDeflection, fixedTable, shareOfRoad, stepDown] as const satisfies readonly School[];

export type SchoolCode = (typeof SCHOOLS)[number]['code'];
export const SCHOOL_CODES = SCHOOLS.map(({ code }) => code) as [SchoolCode, ...SchoolCode[]];

/** Equal deflection, because it alone goes by the rig's own load and tire. */
export const DEFAULT_SCHOOL: SchoolCode = 'equalDeflection';

export const schoolOf = (code: SchoolCode): School => SCHOOLS.find((school) => school.code === code)!;
