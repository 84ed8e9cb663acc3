import { EARTH_M, type TrackPoint } from './distance';

/** A degree of latitude, m. Exact on that sphere. */
const M_A_DEGREE = (EARTH_M * Math.PI) / 180;

/** Meters on a flat map about a place: near enough within a day's drive. */
const flat = (about: TrackPoint) => {
  const east = M_A_DEGREE * Math.cos((about.latDeg * Math.PI) / 180);
  return ({ lonDeg, latDeg, elevationM }: TrackPoint): readonly [number, number, number] => [
    (lonDeg - about.lonDeg) * east,
    (latDeg - about.latDeg) * M_A_DEGREE,
    elevationM ?? 0,
  ];
};

type Place = readonly [number, number, number];

/** Squared distance of a point from a straight piece of the way, m². Up and down count as much as to the side. */
function awaySquared(point: Place, a: Place, b: Place): number {
  const ab = [b[0] - a[0], b[1] - a[1], b[2] - a[2]] as const;
  const ap = [point[0] - a[0], point[1] - a[1], point[2] - a[2]] as const;
  const length = ab[0] ** 2 + ab[1] ** 2 + ab[2] ** 2;
  const share = length === 0 ? 0 : Math.max(0, Math.min(1, (ap[0] * ab[0] + ap[1] * ab[1] + ap[2] * ab[2]) / length));
  return ap.reduce((sum, each, axis) => sum + (each - share * ab[axis]!) ** 2, 0);
}

/**
 * A track with as few points as keep it within a tolerance of what it was, by Douglas and Peucker; the tolerance doubles
 * until no more than `most` are left. The first and last stay.
 */
export function thinTrack(points: readonly TrackPoint[], most: number, toleranceM = 2): TrackPoint[] {
  if (points.length <= most) return [...points];
  const places = points.map(flat(points[0]!));
  for (let within = toleranceM; ; within *= 2) {
    const kept = keptWithin(places, within);
    if (kept.length <= most) return kept.map((index) => points[index]!);
  }
}

function keptWithin(places: readonly Place[], toleranceM: number): number[] {
  const keep = new Uint8Array(places.length);
  keep[0] = keep[places.length - 1] = 1;
  const open: [number, number][] = [[0, places.length - 1]];
  while (open.length > 0) {
    const [from, to] = open.pop()!;
    let [furthest, at] = [toleranceM ** 2, -1];
    for (let index = from + 1; index < to; index += 1) {
      const away = awaySquared(places[index]!, places[from]!, places[to]!);
      if (away > furthest) [furthest, at] = [away, index];
    }
    if (at === -1) continue;
    keep[at] = 1;
    open.push([from, at], [at, to]);
  }
  return [...keep.keys()].filter((index) => keep[index] === 1);
}
