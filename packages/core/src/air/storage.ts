import { assumption, commonPractice, type Source } from '../sources/source';

/** What holds the air in. */
export const TUBE_KINDS = ['noTube', 'standard', 'lowLoss', 'latex', 'extraLight'] as const;
export type TubeKind = (typeof TUBE_KINDS)[number];

interface Keeping {
  /** What it loses of its gauge pressure in a day, 0 to 1: on a bicycle, and on all else. Assumptions. */
  readonly lossADay: { readonly bicycle: number; readonly other: number };
  /** Look again after so many days at the latest. */
  readonly checkDays: number;
  readonly checkSource: Source;
}

/**
 * How long air stays in. Common practice, no source: every four weeks, eight with low-loss tubes, latex and extra-light
 * far sooner; how much sooner, and how much is lost, are assumptions. About 1 psi a month on a road tire is common
 * practice.
 */
export const KEEPING: Record<TubeKind, Keeping> = {
  noTube: { lossADay: { bicycle: 0.008, other: 0.0009 }, checkDays: 28, checkSource: commonPractice },
  standard: { lossADay: { bicycle: 0.007, other: 0.0012 }, checkDays: 28, checkSource: commonPractice },
  lowLoss: { lossADay: { bicycle: 0.0035, other: 0.0006 }, checkDays: 56, checkSource: commonPractice },
  latex: { lossADay: { bicycle: 0.08, other: 0.03 }, checkDays: 2, checkSource: assumption },
  extraLight: { lossADay: { bicycle: 0.03, other: 0.012 }, checkDays: 5, checkSource: assumption },
};

export interface StorageLoss {
  /** Days until it is down to the least it should have; null where it is there already. */
  readonly daysToLeast: number | null;
  /** Look again in so many days: the trade's own, or sooner where a measured loss says so. */
  readonly checkDays: number;
  /** What it will have by then, kPa. */
  readonly thenKpa: number;
}

/**
 * What a tire loses while it stands: the same share every day, so p(t) = p0·(1 − loss)^t. Measured where the person has
 * two readings, else an assumption by what holds the air in.
 *
 * @param leastKpa the least it should have before the next ride
 */
export function storageLoss(
  nowKpa: number,
  leastKpa: number,
  tube: TubeKind,
  onBicycle: boolean,
  lossADay: number | null = null,
): StorageLoss {
  const { lossADay: usual, checkDays } = KEEPING[tube];
  const loss = lossADay ?? usual[onBicycle ? 'bicycle' : 'other'];
  const daysToLeast = nowKpa <= leastKpa ? null : Math.log(leastKpa / nowKpa) / Math.log(1 - loss);
  // An assumed loss calls nobody to the shed sooner than the trade's own weeks.
  const days = lossADay === null ? checkDays : Math.min(checkDays, daysToLeast ?? 0);
  return { daysToLeast, checkDays: days, thenKpa: nowKpa * (1 - loss) ** days };
}

/** The share lost in a day between two readings, 0 to 1; null where nothing was lost or no time went by. */
export function measuredLossADay(beforeKpa: number, afterKpa: number, days: number): number | null {
  if (!(days > 0) || afterKpa <= 0 || afterKpa >= beforeKpa) return null;
  return 1 - (afterKpa / beforeKpa) ** (1 / days);
}
