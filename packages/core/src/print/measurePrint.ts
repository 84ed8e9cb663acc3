import { contours } from 'd3-contour';
import { polygonArea, polygonContains } from 'd3-polygon';

import type { OutlineMm } from '../proof/routine';
import { failure, success, type Result } from '../result/result';
import { squaredDistance } from './distance';
import { flatten, type Photo } from './flatten';
import { inkOf, type InkProblem, type Mask } from './ink';
import { oddityOf, outlineFigures, simplified, type Oddity, type OutlineFigures, type Rolls } from './outline';
import { planeOf, type Plane, type PlaneProblem, type Reference } from './plane';
import { regionsOf, withoutHoles, withoutSpecks } from './regions';

export interface PrintQuestion {
  readonly reference: Reference;
  /** Paint on paper is dark, chalk on concrete light. */
  readonly mark: 'dark' | 'light';
  /** The whole tread was inked, or only a line drawn round the contact. */
  readonly drawn: 'tread' | 'line';
  /** Which way the wheel rolls in the photo. */
  readonly rolls: Rolls;
}

export type PrintProblem =
  | PlaneProblem
  | InkProblem
  | { readonly code: 'nothingFound' }
  /** The print runs into the edge of the sheet or of the photo. */
  | { readonly code: 'cutByFrame' }
  | { readonly code: 'twoPrints'; readonly found: number };

export interface PrintMeasure extends OutlineFigures {
  /** Ink alone; null where only a line was drawn. */
  readonly netMm2: number | null;
  /** Ink that lies beside the outline, as a share of all: a shoulder that hangs by nothing. 0 where there is none to speak of. */
  readonly leftOutShare: number;
  /** Its outline is none that a tire makes: a smear, a boot or a stone may hang on it. */
  readonly isOdd: boolean;
  /** The outline on the plane of the reference, mm, simplified for mending by hand. */
  readonly outline: OutlineMm;
  /** The same, where it lies in the photo, px. */
  readonly outlinePx: readonly (readonly [number, number])[];
  /** The ink that was found, for counting it again within an outline that was mended. */
  readonly ink: FoundInk;
}

export interface FoundInk extends Mask {
  readonly leftMm: number;
  readonly topMm: number;
}

export type PrintStage = 'flatten' | 'ink' | 'outline' | 'measure';

/**
 * Grooves of up to twice the radius are part of the outline, mm: the least is wider than any groove of a road or
 * all-terrain tread; lugs that stand further apart are bridged by as much as they need. Assumptions.
 */
const LEAST_BRIDGE_MM = 9;
const MOST_BRIDGE_MM = 75;
/** How fast the radius is tried larger, and how much beyond what just holds the lugs together. Assumptions. */
const BRIDGE_STEP = 1.3;
/** The outer lugs' gaps are bridged flush by so much more than what just holds them together. Assumption. */
const FLUSH = 1.6;
/** So much of the ink in one patch, or in two that could be two prints, and the lugs hold together. Assumption. */
const TOGETHER = 0.97;
const MOST_PRINTS = 2;
/** Ink beside the outline that comes to less than this share is dirt. Assumption. */
const DIRT = 0.02;
/** Specks smaller than this are dirt, mm². Assumption. */
const SPECK_MM2 = 25;
/** Smaller than this is no print, mm². Assumption: a racing bicycle's is larger. */
const LEAST_MM2 = 150;
/** Another patch at least this large beside the largest is another print. Assumption. */
const SECOND = 0.3;
/** More than this of it, and the outline is looked over by hand. Assumptions, set on prints of known shape. */
const ODD: Oddity = { hollow: 0.07, horn: 0.035, lopsided: 0.15 };
const isOdd = ({ hollow, horn, lopsided }: Oddity): boolean =>
  hollow > ODD.hollow || horn > ODD.horn || lopsided > ODD.lopsided;

/** The outline is drawn with corners no further off than this, mm. */
const CORNER_MM = 0.8;

/**
 * Length, width and areas of a print in a photo: perspective taken out by the reference, ink told from paper under
 * uneven light, grooves bridged to find the outline, the print's own axes found, and all measured in millimetres.
 * Yields what it is at, so that it can be shown and stopped.
 */
export function* measurePrint(
  photo: Photo,
  question: PrintQuestion,
): Generator<PrintStage, Result<PrintMeasure, PrintProblem>, void> {
  const plane = planeOf(question.reference, photo);
  if (!plane.ok) return plane;
  yield 'flatten';
  const flat = flatten(photo, plane.value, question.mark);
  yield 'ink';
  const found = inkOf(flat);
  if (!found.ok) return found;
  const { mmPerPx } = flat;
  const ink = withoutSpecks(found.value, SPECK_MM2 / mmPerPx ** 2);
  yield 'outline';
  const solid = withoutHoles(bridged(ink));
  const { regions, labels } = regionsOf(solid, 1);
  const large = regions.filter(({ pixels }) => pixels * mmPerPx ** 2 >= LEAST_MM2).sort((a, b) => b.pixels - a.pixels);
  const [first] = large;
  if (!first) return failure({ code: 'nothingFound' });
  if (first.atEdge) return failure({ code: 'cutByFrame' });
  const others = large.filter(({ pixels, atEdge }) => !atEdge && pixels >= SECOND * first.pixels);
  if (others.length > 1) return failure({ code: 'twoPrints', found: others.length });
  yield 'measure';
  const only: Mask = {
    ...solid,
    data: labels.map((label) => (label === first.label ? 1 : 0)) as unknown as Uint8Array,
  };
  const ring = ringOf(only, plane.value);
  let [inkPixels, allPixels] = [0, 0];
  for (let at = 0; at < ink.data.length; at += 1) {
    if (ink.data[at] !== 1) continue;
    allPixels += 1;
    if (labels[at] === first.label) inkPixels += 1;
  }
  const leftOut = 1 - inkPixels / allPixels;
  return success({
    ...outlineFigures(ring, question.rolls),
    netMm2: question.drawn === 'line' ? null : inkPixels * mmPerPx ** 2,
    leftOutShare: leftOut > DIRT ? leftOut : 0,
    isOdd: isOdd(oddityOf(ring)),
    outline: simplified(ring, CORNER_MM),
    outlinePx: simplified(ring, CORNER_MM).map(([x, y]) => plane.value.toPixel(x, y)),
    ink: { ...ink, leftMm: plane.value.leftMm, topMm: plane.value.topMm },
  });
}

/**
 * A mask with the gaps between lugs bridged: grown and shrunk again by a radius that follows the tread. It begins with
 * that of ordinary grooves and goes on until nearly all ink hangs together, in one patch or in two prints.
 */
function bridged(mask: Mask): Mask {
  const { width, height, data, mmPerPx } = mask;
  // A border of the largest radius on all sides, or shrinking would eat in from the edge.
  const rim = Math.ceil(MOST_BRIDGE_MM / mmPerPx) + 1;
  const [wide, high] = [width + 2 * rim, height + 2 * rim];
  const ink = new Uint8Array(wide * high);
  for (let row = 0; row < height; row += 1)
    ink.set(data.subarray(row * width, (row + 1) * width), (row + rim) * wide + rim);
  const toInk = squaredDistance(ink, wide, high, 1);
  const grownBy = (radiusPx: number): Uint8Array => {
    const grown = new Uint8Array(ink.length);
    const reach = radiusPx * radiusPx;
    for (let at = 0; at < grown.length; at += 1) grown[at] = toInk[at]! <= reach ? 1 : 0;
    return grown;
  };
  let radiusMm = LEAST_BRIDGE_MM;
  while (
    radiusMm * BRIDGE_STEP <= MOST_BRIDGE_MM &&
    !holdsTogether(ink, { ...mask, width: wide, height: high, data: grownBy(radiusMm / mmPerPx) })
  ) {
    radiusMm *= BRIDGE_STEP;
  }
  const flush = radiusMm === LEAST_BRIDGE_MM ? 1 : FLUSH;
  const radiusPx = Math.min(MOST_BRIDGE_MM, radiusMm * flush) / mmPerPx;
  const toPaper = squaredDistance(grownBy(radiusPx), wide, high, 0);
  const out = new Uint8Array(data.length);
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      out[row * width + column] = toPaper[(row + rim) * wide + column + rim]! > radiusPx * radiusPx ? 1 : 0;
    }
  }
  return { ...mask, data: out };
}

/** Whether nearly all of the ink lies in one patch of a mask, or in two of like size. */
function holdsTogether(ink: Uint8Array, grown: Mask): boolean {
  const { regions, labels } = regionsOf(grown, 1);
  const inked = new Float64Array(regions.length + 1);
  let all = 0;
  for (let at = 0; at < ink.length; at += 1) {
    if (ink[at] !== 1) continue;
    all += 1;
    inked[labels[at]!]! += 1;
  }
  const sorted = [...inked].sort((a, b) => b - a);
  const large = sorted.filter((each) => each >= SECOND * sorted[0]!);
  return large.length <= MOST_PRINTS && large.reduce((sum, each) => sum + each, 0) >= TOGETHER * all;
}

/** The outer line of a mask of one patch, mm on the plane. */
function ringOf({ width, height, mmPerPx, data }: Mask, { leftMm, topMm }: Plane): (readonly [number, number])[] {
  const [shape] = contours().size([width, height]).thresholds([0.5])(data as unknown as number[]);
  const rings = shape!.coordinates.map(([outer]) => outer!);
  const ring = rings.reduce((a, b) => (Math.abs(ringArea(b)) > Math.abs(ringArea(a)) ? b : a));
  return ring.slice(0, -1).map(([x, y]) => [leftMm + x! * mmPerPx, topMm + y! * mmPerPx] as const);
}

const ringArea = (ring: readonly number[][]): number => polygonArea(ring as [number, number][]);

/** How much ink lies within an outline that was mended by hand, mm². */
export function inkWithin({ width, height, mmPerPx, data, leftMm, topMm }: FoundInk, outline: OutlineMm): number {
  const ring = outline as [number, number][];
  const xs = ring.map(([x]) => (x - leftMm) / mmPerPx);
  const ys = ring.map(([, y]) => (y - topMm) / mmPerPx);
  const clip = (value: number, most: number): number => Math.max(0, Math.min(most, value));
  const [left, right] = [clip(Math.floor(Math.min(...xs)), width), clip(Math.ceil(Math.max(...xs)), width)];
  const [top, bottom] = [clip(Math.floor(Math.min(...ys)), height), clip(Math.ceil(Math.max(...ys)), height)];
  let pixels = 0;
  for (let row = top; row < bottom; row += 1) {
    for (let column = left; column < right; column += 1) {
      const at: [number, number] = [leftMm + (column + 0.5) * mmPerPx, topMm + (row + 0.5) * mmPerPx];
      if (data[row * width + column] === 1 && polygonContains(ring, at)) pixels += 1;
    }
  }
  return pixels * mmPerPx ** 2;
}
