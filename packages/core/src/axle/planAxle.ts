import type { LoadCurve } from '../capacity/loadCurve';
import type { OwnTire } from '../contact/ownTire';
import type { AxlePosition, WheelCount } from '../loads/geometry';
import type { BeadHold, Casing } from '../tires/fitting';
import type { LoadRange } from '../tires/loadRange';
import type { Tire } from '../tires/tire';

/** One axle as it stands today. Pressures are cold gauge pressures. */
export interface PlanAxle {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  readonly tire: Tire;
  readonly loadRange: LoadRange;
  /** The heaviest tire on each side, kg; alike where there is one wheel alone. */
  readonly leftLoadKg: number;
  readonly rightLoadKg: number;
  /** Placard, manual, or what a bicycle is ridden with now; null where not entered. */
  readonly roadKpa: number | null;
  readonly beadHold: BeadHold;
  readonly tube: boolean;
  readonly insert: boolean;
  readonly casing: Casing | null;
  readonly rimInnerMm: number | null;
  /** Measured width on the rim; null goes by the marking. */
  readonly widthMm: number | null;
  /** Of the tread, measured flat; without it, the trade's share of the section width. */
  readonly treadWidthMm?: number | null;
  /** Lowest and highest that the sidewall allows. */
  readonly minKpa: number | null;
  readonly maxKpa: number | null;
  /** What the tire carries; null where unknown. */
  readonly curve: LoadCurve | null;
  /** A bicycle rim without hooks holds a tire by its bead alone; null or missing where nobody said. */
  readonly hookless?: boolean | null;
  /** On the heavier tire when it is driven with the road pressure, kg; without it, today's load. Farm machines. */
  readonly roadLoadKg?: number;
  /** What its own tests gave; without it the handbook's values hold. */
  readonly own?: OwnTire;
  /** How near an edge came to this wheel's rim, each time somebody looked. */
  readonly rimTries?: readonly RimTry[];
}

/** An axle of which the load is not known. */
export type UnweighedAxle = Omit<PlanAxle, 'leftLoadKg' | 'rightLoadKg'>;

/** An axle of which nothing is known but its tire. */
export const bareAxle = (known: Pick<PlanAxle, 'position' | 'wheels' | 'tire'>): UnweighedAxle => ({
  ...known,
  loadRange: 'standard',
  roadKpa: null,
  beadHold: 'none',
  tube: false,
  insert: false,
  casing: null,
  rimInnerMm: null,
  widthMm: null,
  minKpa: null,
  maxKpa: null,
  curve: null,
});

/** A pressure and load at which an edge was tried on a rim, and whether it came through to it. */
export interface RimTry {
  readonly pressureKpa: number;
  readonly wheelLoadKg: number;
  readonly struck: boolean;
  /** Hit at riding speed; false for a press or a crawl, which says nothing of fast ground. */
  readonly ridden: boolean;
}

/**
 * The most that the sidewall allows, on any ground, kPa: the maximum that was read, else the firmest of its load lines,
 * which is one too ("max load 1280 lb at 22 psi" rules above 22). Null where neither was read.
 */
export const sidewallMostKpa = ({ maxKpa, curve }: Pick<PlanAxle, 'maxKpa' | 'curve'>): number | null =>
  maxKpa ?? (curve?.from === 'lines' ? curve.points.at(-1)!.pressureKpa : null);
