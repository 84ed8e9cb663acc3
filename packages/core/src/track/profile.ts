import { distanceM, type TrackPoint } from './distance';

/** A track by the way along it: arrays of one length, a value a place. Places lie close enough together to be smoothed. */
export interface TrackProfile {
  /** From its beginning, m; never falls. */
  readonly alongM: readonly number[];
  /** Smoothed, m; null where the track has no elevations. */
  readonly elevationM: readonly number[] | null;
  /** Degrees, up is more than 0; null without elevations. */
  readonly slopeDeg: readonly number[] | null;
}

/** Elevations of a receiver jitter by meters: they are smoothed over this much of the way, m. Assumption, tried on tracks with known climbs. */
const ELEVATION_SIGMA_M = 30;
/** A slope is that of a stretch as long as a rig and its run-up, m. Assumption. */
const SLOPE_SIGMA_M = 60;
/** Beyond three of them a bell counts for nothing. */
const REACH = 3;

/** Places of a profile lie no further apart than this, m, but on tracks of more than so many. */
const APART_M = 20;
const MOST_PLACES = 50_000;

/**
 * The way along a track, with elevations smoothed by a bell of 30 m and slopes by one of 60 m.
 *
 * @param points two at least
 */
export function trackProfile(points: readonly TrackPoint[]): TrackProfile {
  const atPoints = alongOf(points);
  const known = knownElevations(points, atPoints);
  const { alongM, raw } = inPlaces(atPoints, known ?? points.map(() => 0));
  if (!known) return { alongM, elevationM: null, slopeDeg: null };
  const degrees = (rise: number): number => (Math.atan(rise) * 180) / Math.PI;
  return {
    alongM,
    elevationM: smoothed(alongM, raw, ELEVATION_SIGMA_M).map(({ value }) => value),
    slopeDeg: smoothed(alongM, raw, SLOPE_SIGMA_M).map(({ rise }) => degrees(rise)),
  };
}

/** How far along each point lies, m. */
function alongOf(points: readonly TrackPoint[]): number[] {
  const along = [0];
  for (let index = 1; index < points.length; index += 1) {
    along.push(along[index - 1]! + distanceM(points[index - 1]!, points[index]!));
  }
  return along;
}

/** A track with its elevations smoothed, so that thinning it keeps the hills and not the jitter of a receiver. */
export function smoothTrack(points: readonly TrackPoint[]): TrackPoint[] {
  const atPoints = alongOf(points);
  const known = knownElevations(points, atPoints);
  if (!known) return [...points];
  const { alongM, raw } = inPlaces(atPoints, known);
  const smooth = smoothed(alongM, raw, ELEVATION_SIGMA_M);
  let place = 0;
  return points.map((point, index) => {
    // Every point is one of the places.
    while (alongM[place]! < atPoints[index]!) place += 1;
    return { ...point, elevationM: smooth[place]!.value };
  });
}

/** Places in between where points lie far apart: in a straight line. */
function inPlaces(atPoints: readonly number[], values: readonly number[]): { alongM: number[]; raw: number[] } {
  const apart = Math.max(APART_M, atPoints.at(-1)! / MOST_PLACES);
  const alongM = [0];
  const raw = [values[0]!];
  for (let index = 1; index < atPoints.length; index += 1) {
    const [from, to] = [atPoints[index - 1]!, atPoints[index]!];
    const parts = Math.max(1, Math.ceil((to - from) / apart));
    for (let part = 1; part <= parts; part += 1) {
      alongM.push(from + ((to - from) * part) / parts);
      raw.push(values[index - 1]! + ((values[index]! - values[index - 1]!) * part) / parts);
    }
  }
  return { alongM, raw };
}

/** Every point's elevation, gaps filled in a straight line; null where fewer than two points have one. */
function knownElevations(points: readonly TrackPoint[], alongM: readonly number[]): number[] | null {
  const known = points.flatMap(({ elevationM }, index) => (elevationM === null ? [] : [{ index, elevationM }]));
  if (known.length < 2) return null;
  let next = 0;
  return points.map(({ elevationM }, index) => {
    if (elevationM !== null) return elevationM;
    while (next < known.length && known[next]!.index < index) next += 1;
    const [before, after] = [known[next - 1], known[next]];
    if (!before) return after!.elevationM;
    if (!after) return before.elevationM;
    const span = alongM[after.index]! - alongM[before.index]!;
    const share = span > 0 ? (alongM[index]! - alongM[before.index]!) / span : 0;
    return before.elevationM + share * (after.elevationM - before.elevationM);
  });
}

/**
 * Values and how they rise, by a straight line laid through the points about each place, weighted by a bell: whatever the
 * spacing, and up to both ends, a straight slope stays as it is.
 */
function smoothed(
  alongM: readonly number[],
  values: readonly number[],
  sigmaM: number,
): { readonly value: number; readonly rise: number }[] {
  const last = values.length - 1;
  // Each point counts for the stretch of way that is nearest to it.
  const widths = values.map((_, index) => (alongM[Math.min(last, index + 1)]! - alongM[Math.max(0, index - 1)]!) / 2);
  let from = 0;
  return values.map((value, index) => {
    const at = alongM[index]!;
    while (at - alongM[from]! > REACH * sigmaM) from += 1;
    let [w, wx, wxx, wy, wxy] = [0, 0, 0, 0, 0];
    for (let other = from; other <= last && alongM[other]! - at <= REACH * sigmaM; other += 1) {
      const x = alongM[other]! - at;
      const weight = widths[other]! * Math.exp(-0.5 * (x / sigmaM) ** 2);
      w += weight;
      wx += weight * x;
      wxx += weight * x * x;
      wy += weight * values[other]!;
      wxy += weight * x * values[other]!;
    }
    const spread = w * wxx - wx * wx;
    // Points upon one another, or one alone: there is no line through them.
    if (!(spread > 1e-9 * w * w)) return { value: w > 0 ? wy / w : value, rise: 0 };
    return { value: (wxx * wy - wx * wxy) / spread, rise: (w * wxy - wx * wy) / spread };
  });
}

/** All that goes up between two places on a track, m; 0 without elevations. */
export function climbM({ alongM, elevationM }: TrackProfile, fromM: number, toM: number): number {
  if (!elevationM) return 0;
  let climb = 0;
  for (let index = 1; index < alongM.length; index += 1) {
    if (alongM[index]! <= fromM || alongM[index - 1]! >= toM) continue;
    const [a, b] = [alongM[index - 1]!, alongM[index]!];
    const span = b - a;
    const share = span > 0 ? (Math.min(b, toM) - Math.max(a, fromM)) / span : 1;
    climb += Math.max(0, elevationM[index]! - elevationM[index - 1]!) * share;
  }
  return climb;
}

/** The steepest climb between two places, degrees, 0 or more. */
export function steepestDeg({ alongM, slopeDeg }: TrackProfile, fromM: number, toM: number): number {
  if (!slopeDeg) return 0;
  let steepest = 0;
  for (const [index, slope] of slopeDeg.entries()) {
    if (alongM[index]! >= fromM && alongM[index]! <= toM) steepest = Math.max(steepest, slope);
  }
  return steepest;
}
