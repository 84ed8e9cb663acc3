import type { FamilyCode } from './registry';
import { assumption, commonPractice, type Source } from '../sources/source';
import { POSTURES } from '../loads/postures';
import { splitWhole } from '../loads/splitWhole';

/** A rig as most of them weigh, to start from before any scale. */
export interface UsualRig {
  readonly code: string;
  readonly family: FamilyCode;
  /** As most are driven, people on board, kg. Common practice, no source. */
  readonly totalKg: number;
  /** Of the whole, on the front axle: empty or one up, and loaded or two up. Assumption. */
  readonly frontShare: { readonly empty: number; readonly loaded: number };
}

export const USUAL_TOTAL_SOURCE: Source = commonPractice;
export const SPLIT_SOURCE: Source = assumption;

const WAGON = { empty: 0.52, loaded: 0.45 };
const PICKUP = { empty: 0.57, loaded: 0.43 };
const MOTORCYCLE = { empty: 0.47, loaded: 0.4 };
const sitting = (share: number) => ({ empty: share, loaded: share });

/** The first of a family is the one that is meant where nobody says which. None of farm machines, which differ too much. */
export const USUAL_RIGS = [
  { code: 'wagon', family: 'fourWheel', totalKg: 2200, frontShare: WAGON },
  { code: 'smallFourWheel', family: 'fourWheel', totalKg: 1250, frontShare: WAGON },
  { code: 'bigWagon', family: 'fourWheel', totalKg: 2800, frontShare: WAGON },
  { code: 'midPickup', family: 'fourWheel', totalKg: 2000, frontShare: PICKUP },
  { code: 'heavyPickup', family: 'fourWheel', totalKg: 3200, frontShare: PICKUP },
  { code: 'van', family: 'vanTruck', totalKg: 2600, frontShare: { empty: 0.55, loaded: 0.45 } },
  { code: 'sideBySide', family: 'sideBySide', totalKg: 920, frontShare: sitting(0.43) },
  { code: 'quad', family: 'quad', totalKg: 410, frontShare: sitting(0.48) },
  { code: 'adventureTwin', family: 'adventureTwin', totalKg: 320, frontShare: MOTORCYCLE },
  { code: 'trailSingle', family: 'trailSingle', totalKg: 260, frontShare: MOTORCYCLE },
  { code: 'lightSingle', family: 'lightSingle', totalKg: 220, frontShare: MOTORCYCLE },
  { code: 'gravelBike', family: 'gravelBike', totalKg: 94, frontShare: sitting(POSTURES.gravel) },
  { code: 'mountainBike', family: 'mountainBike', totalKg: 94, frontShare: sitting(POSTURES.mountain) },
  { code: 'fatBike', family: 'fatBike', totalKg: 96, frontShare: sitting(POSTURES.mountain) },
  { code: 'electricBike', family: 'electricBike', totalKg: 104, frontShare: sitting(POSTURES.mountain) },
  { code: 'cityBike', family: 'cityBike', totalKg: 98, frontShare: sitting(POSTURES.gravel) },
  { code: 'roadBike', family: 'roadBike', totalKg: 90, frontShare: sitting(POSTURES.road) },
] as const satisfies readonly UsualRig[];

export type UsualRigCode = (typeof USUAL_RIGS)[number]['code'];
export const USUAL_RIG_CODES = USUAL_RIGS.map(({ code }) => code) as [UsualRigCode, ...UsualRigCode[]];

/** The rig of a code where it is of this family, else the family's first; null for farm machines. */
export const usualRigOf = (family: FamilyCode, code: UsualRigCode | null): UsualRig | null => {
  const own = USUAL_RIGS.filter((rig) => rig.family === family);
  return own.find((rig) => rig.code === code) ?? own[0] ?? null;
};

/** Loaded rather than empty: how the whole is split by its kind. */
export type Laden = keyof UsualRig['frontShare'];

/** The whole of such a rig on one wheel of each axle, kg, front first. */
export const splitLoads = (rig: UsualRig, totalKg: number, laden: Laden, wheels: readonly number[]): number[] =>
  splitWhole(totalKg, rig.frontShare[laden], wheels);
