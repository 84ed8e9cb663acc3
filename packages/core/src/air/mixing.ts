/** Air in one tire, or in whatever else holds some. */
export interface Air {
  readonly volumeL: number;
  readonly pressureKpa: number;
}

/**
 * The pressure of tires joined by a hose until nothing flows any more, kPa: (p1·V1 + p2·V2 + …)/(V1 + V2 + …).
 * Exact for equal warmth; gauge in, gauge out.
 *
 * @example joinedKpa([{ volumeL: 60, pressureKpa: 240 }, { volumeL: 60, pressureKpa: 120 }]) // 180
 */
export function joinedKpa(tires: readonly Air[]): number {
  const volume = tires.reduce((sum, { volumeL }) => sum + volumeL, 0);
  return tires.reduce((sum, { volumeL, pressureKpa }) => sum + volumeL * pressureKpa, 0) / volume;
}

export interface Donor extends Air {
  readonly code: string;
  /** It keeps at least this, kPa. */
  readonly keepKpa: number;
}

/** One joining of the soft tire with another. */
export interface Transfer {
  readonly code: string;
  readonly donorBeforeKpa: number;
  readonly donorAfterKpa: number;
  readonly softBeforeKpa: number;
  readonly softAfterKpa: number;
  /** Closed before both were level. */
  readonly closedEarly: boolean;
}

export interface Moved {
  readonly transfers: readonly Transfer[];
  readonly reachedKpa: number;
  readonly reached: boolean;
}

/** Less than this is not worth screwing a hose on for, kPa. Assumption: a quarter of a psi. */
const WORTH_IT_KPA = 1.7;

/** More joinings than this nobody plans ahead: then all help. */
const MOST_PLANNED = 3;

/**
 * Moves air into a soft tire from others by a hose, with as few joinings as reach the target; where none do, with all of
 * them. Of several donors the softest comes first: so each gives what it can, and the firmest is left for the last
 * stretch. Closed early at the target, and where a donor comes down to what it must keep. Exact for equal warmth.
 */
export function moveAir(soft: Air, donors: readonly Donor[], targetKpa: number): Moved {
  const softestFirst = [...donors].sort((a, b) => a.pressureKpa - b.pressureKpa);
  for (let size = 1; size <= Math.min(MOST_PLANNED, donors.length); size += 1) {
    for (const few of chosen(softestFirst, size)) {
      const moved = joinOneByOne(soft, few, targetKpa);
      if (moved.reached) return moved;
    }
  }
  return joinOneByOne(soft, softestFirst, targetKpa);
}

/** Every choice of so many, in order. */
function* chosen<Each>(all: readonly Each[], size: number): Generator<Each[]> {
  if (size === 0) yield [];
  else {
    for (let first = 0; first <= all.length - size; first += 1) {
      for (const rest of chosen(all.slice(first + 1), size - 1)) yield [all[first]!, ...rest];
    }
  }
}

function joinOneByOne(soft: Air, donors: readonly Donor[], targetKpa: number): Moved {
  const transfers: Transfer[] = [];
  let now = soft.pressureKpa;
  for (const donor of donors) {
    if (now >= targetKpa) break;
    const level = joinedKpa([{ ...soft, pressureKpa: now }, donor]);
    // What leaves the donor arrives in the soft tire.
    const whenDonorStops = now + ((donor.pressureKpa - donor.keepKpa) * donor.volumeL) / soft.volumeL;
    const after = Math.min(level, targetKpa, whenDonorStops);
    // Less than that is worth it where it is the last that is missing.
    if (after - now < WORTH_IT_KPA && after < targetKpa) continue;
    transfers.push({
      code: donor.code,
      donorBeforeKpa: donor.pressureKpa,
      donorAfterKpa: donor.pressureKpa - ((after - now) * soft.volumeL) / donor.volumeL,
      softBeforeKpa: now,
      softAfterKpa: after,
      closedEarly: after < level - 1e-9,
    });
    now = after;
  }
  return { transfers, reachedKpa: now, reached: now >= targetKpa - 1e-9 };
}
