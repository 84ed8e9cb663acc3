import { polygonArea, polygonHull } from 'd3-polygon';

import type { OutlineMm } from '../proof/routine';

/** Which way the wheel rolls in the photo. */
export type Rolls = 'upright' | 'across';

export interface OutlineFigures {
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Within the outline. */
  readonly grossMm2: number;
  /** Within its convex hull. */
  readonly hullMm2: number;
}

/** How far a print may be turned from straight, degrees. Assumption. */
const TURNED_DEG = 20;
/** Length, width and area of an outline, be it found or mended by hand. */
export function outlineFigures(outline: OutlineMm, rolls: Rolls): OutlineFigures {
  const points = outline as [number, number][];
  const hull = polygonHull(points) ?? points;
  const { along, across } = boxOf(hull);
  const [lengthMm, widthMm] = rolls === 'upright' ? [along, across] : [across, along];
  return { lengthMm, widthMm, grossMm2: Math.abs(polygonArea(points)), hullMm2: Math.abs(polygonArea(hull)) };
}

/** How far an outline is from any that a tire makes: full and even, without horns. 0 to 1 each, 0 being the perfect print. */
export interface Oddity {
  /** What is missing of its convex hull: a streak or a second thing hangs on it. */
  readonly hollow: number;
  /** How much of its length or width is a horn, narrower than a fifth of it. */
  readonly horn: number;
  /** How much one half differs from the other, in the mean. */
  readonly lopsided: number;
}

const SCANS = 80;
const HORN_SHARE = 0.2;

export function oddityOf(outline: OutlineMm): Oddity {
  const points = outline as [number, number][];
  const hull = polygonHull(points) ?? points;
  const { angle } = boxOf(hull);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const turned = points.map(([x, y]): readonly [number, number] => [x * cos + y * sin, y * cos - x * sin]);
  const ways = [turned, turned.map(([x, y]): readonly [number, number] => [y, x])].map((ring) => {
    const chords = chordsOf(ring);
    const broad = Math.max(...chords) * HORN_SHARE;
    const first = chords.findIndex((chord) => chord >= broad);
    const last = chords.findLastIndex((chord) => chord >= broad);
    const mean = chords.reduce((sum, chord) => sum + chord, 0) / chords.length;
    const differs = chords.reduce((sum, chord, index) => sum + Math.abs(chord - chords[SCANS - 1 - index]!), 0);
    return { horn: 1 - (last - first + 1) / SCANS, lopsided: differs / chords.length / mean };
  });
  return {
    hollow: 1 - Math.abs(polygonArea(points)) / Math.abs(polygonArea(hull)),
    horn: Math.max(...ways.map(({ horn }) => horn)),
    lopsided: Math.max(...ways.map(({ lopsided }) => lopsided)),
  };
}

/** How wide a ring is along even lines across its second axis, from end to end. */
function chordsOf(ring: readonly (readonly [number, number])[]): number[] {
  const vs = ring.map(([, v]) => v);
  const [low, high] = [Math.min(...vs), Math.max(...vs)];
  return Array.from({ length: SCANS }, (_, index) => {
    const at = low + ((index + 0.5) / SCANS) * (high - low);
    const crossings = ring.flatMap(([u, v], place) => {
      const [nextU, nextV] = ring[(place + 1) % ring.length]!;
      return v <= at === nextV <= at ? [] : [u + ((at - v) / (nextV - v)) * (nextU - u)];
    });
    return crossings.length < 2 ? 0 : Math.max(...crossings) - Math.min(...crossings);
  });
}

interface Box {
  readonly along: number;
  readonly across: number;
  /** How far it is turned, radians. */
  readonly angle: number;
}

/** The smallest box about a hull that is not turned far from upright: its height and width. */
function boxOf(hull: readonly (readonly [number, number])[]): Box {
  let best = { along: 0, across: 0, angle: 0, area: Number.POSITIVE_INFINITY };
  const most = (TURNED_DEG * Math.PI) / 180;
  const angles = hull.flatMap(([x, y], index) => {
    const [nextX, nextY] = hull[(index + 1) % hull.length]!;
    const turn = Math.atan2(nextY - y, nextX - x);
    // A side of the box lies along a side of the hull.
    const square = turn - (Math.PI / 2) * Math.round(turn / (Math.PI / 2));
    return Math.abs(square) <= most ? [square] : [];
  });
  for (const angle of [0, ...angles]) {
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const us = hull.map(([x, y]) => x * cos + y * sin);
    const vs = hull.map(([x, y]) => y * cos - x * sin);
    const across = Math.max(...us) - Math.min(...us);
    const along = Math.max(...vs) - Math.min(...vs);
    if (across * along < best.area) best = { along, across, angle, area: across * along };
  }
  return best;
}

/** A closed line with as few corners as keep within a distance of it (published: Douglas and Peucker 1973). */
export function simplified(ring: OutlineMm, withinMm: number): OutlineMm {
  if (ring.length < 4) return ring;
  const half = Math.floor(ring.length / 2);
  return [
    ...thinned([...ring.slice(0, half + 1)], withinMm).slice(0, -1),
    ...thinned([...ring.slice(half), ring[0]!], withinMm).slice(0, -1),
  ];
}

function thinned(line: OutlineMm, withinMm: number): OutlineMm {
  const [[ax, ay], [bx, by]] = [line[0]!, line.at(-1)!];
  const long = Math.hypot(bx - ax, by - ay);
  let [at, far] = [0, 0];
  line.forEach(([x, y], index) => {
    const off = long === 0 ? Math.hypot(x - ax, y - ay) : Math.abs((bx - ax) * (ay - y) - (ax - x) * (by - ay)) / long;
    if (off > far) [at, far] = [index, off];
  });
  if (far <= withinMm) return [line[0]!, line.at(-1)!];
  return [...thinned(line.slice(0, at + 1), withinMm).slice(0, -1), ...thinned(line.slice(at), withinMm)];
}
