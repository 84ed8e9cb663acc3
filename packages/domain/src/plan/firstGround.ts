import { groundsFor, type GroundCode, type Kind } from '@dunlinmoss/core';

/** What each kind of rig most often sets out for: where the question begins. */
const MOST_OFTEN: Record<Kind, GroundCode> = {
  car: 'softSand',
  quad: 'snow',
  motorcycle: 'dirtRoad',
  bicycle: 'hardpack',
  farm: 'fieldMoist',
};

/** The wanted ground where this kind of rig meets it, else the most common one. */
export const groundOr = (kind: Kind, wanted: string | undefined): GroundCode =>
  groundsFor(kind).find((code) => code === wanted) ?? MOST_OFTEN[kind];
