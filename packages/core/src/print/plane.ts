import { failure, success, type Result } from '../result/result';

export type PointPx = readonly [x: number, y: number];
export type Quad = readonly [PointPx, PointPx, PointPx, PointPx];

/**
 * A known length in the photo. `sheet`: the four corners of the paper that the print is on, from its top left round.
 * `tile`: the four corners of something flat beside the print. `tape`: two points of a tape, and no perspective is
 * taken out.
 */
export type Reference =
  | {
      readonly kind: 'sheet' | 'tile';
      readonly corners: readonly PointPx[];
      readonly widthMm: number;
      readonly heightMm: number;
    }
  | { readonly kind: 'tape'; readonly ends: readonly PointPx[]; readonly lengthMm: number };

export type PlaneProblem =
  | { readonly code: 'noReference'; readonly needed: number; readonly marked: number }
  /** The corners cross, lie on one line, or turn the wrong way. */
  | { readonly code: 'crossedCorners' }
  | { readonly code: 'referenceTooSmall'; readonly leastPx: number };

/** The flat ground of a photo: where a place on it, in mm, is in the picture. */
export interface Plane {
  /** The part that is looked at, mm, from the first corner of the reference. */
  readonly leftMm: number;
  readonly topMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly toPixel: (xMm: number, yMm: number) => PointPx;
  readonly toGround: (xPx: number, yPx: number) => readonly [xMm: number, yMm: number];
  /** The coarsest scale in it, mm to a pixel. */
  readonly mmPerPx: number;
}

/** A reference of fewer pixels tells no millimetres. Assumption. */
const LEAST_PX = 80;
/** A paper's own edge and its shadow are not looked at: so much of it on each side, as a share. Assumption. */
const EDGE = 0.012;
/** How far beside a tile a print is looked for, in sizes of the tile. Assumption. */
const BESIDE = 2;

const between = ([ax, ay]: PointPx, [bx, by]: PointPx): number => Math.hypot(bx - ax, by - ay);

/**
 * The plane that a reference lies in. Four corners take perspective out: the projective map of a square onto a
 * four-sided figure, in closed form (published: Heckbert 1989, Fundamentals of texture mapping; from memory).
 */
export function planeOf(
  reference: Reference,
  image: { readonly width: number; readonly height: number },
): Result<Plane, PlaneProblem> {
  if (reference.kind === 'tape') {
    const [a, b] = reference.ends;
    if (!a || !b) return failure({ code: 'noReference', needed: 2, marked: reference.ends.length });
    const px = between(a, b);
    if (px < LEAST_PX) return failure({ code: 'referenceTooSmall', leastPx: LEAST_PX });
    const mmPerPx = reference.lengthMm / px;
    return success({
      leftMm: 0,
      topMm: 0,
      widthMm: image.width * mmPerPx,
      heightMm: image.height * mmPerPx,
      toPixel: (x, y) => [x / mmPerPx, y / mmPerPx],
      toGround: (x, y) => [x * mmPerPx, y * mmPerPx],
      mmPerPx,
    });
  }
  const { corners, widthMm, heightMm } = reference;
  if (corners.length < 4) return failure({ code: 'noReference', needed: 4, marked: corners.length });
  const quad = corners.slice(0, 4) as unknown as Quad;
  if (!turnsAlike(quad)) return failure({ code: 'crossedCorners' });
  const sides = quad.map((corner, index) => between(corner, quad[(index + 1) % 4]!));
  if (Math.min(...sides) < LEAST_PX) return failure({ code: 'referenceTooSmall', leastPx: LEAST_PX });
  const map = squareTo(quad);
  const toPixel = (x: number, y: number): PointPx => map.there(x / widthMm, y / heightMm);
  const toGround = (x: number, y: number): PointPx => {
    const [u, v] = map.back(x, y);
    return [u * widthMm, v * heightMm];
  };
  const mmPerPx = Math.max(widthMm / Math.min(sides[0]!, sides[2]!), heightMm / Math.min(sides[1]!, sides[3]!));
  if (reference.kind === 'sheet') {
    return success({
      leftMm: EDGE * widthMm,
      topMm: EDGE * heightMm,
      widthMm: (1 - 2 * EDGE) * widthMm,
      heightMm: (1 - 2 * EDGE) * heightMm,
      toPixel,
      toGround,
      mmPerPx,
    });
  }
  return success({
    leftMm: -BESIDE * widthMm,
    topMm: -BESIDE * heightMm,
    widthMm: (1 + 2 * BESIDE) * widthMm,
    heightMm: (1 + 2 * BESIDE) * heightMm,
    toPixel,
    toGround,
    mmPerPx,
  });
}

/** All four corners turn the same way: a figure without dents that does not cross itself. */
function turnsAlike(quad: Quad): boolean {
  const turns = quad.map((b, index) => {
    const a = quad[(index + 3) % 4]!;
    const c = quad[(index + 1) % 4]!;
    return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
  });
  return turns.every((turn) => turn > 0) || turns.every((turn) => turn < 0);
}

type Map = (x: number, y: number) => PointPx;

function squareTo([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: Quad): { readonly there: Map; readonly back: Map } {
  const [sx, sy] = [x0 - x1 + x2 - x3, y0 - y1 + y2 - y3];
  const [dx1, dx2, dy1, dy2] = [x1 - x2, x3 - x2, y1 - y2, y3 - y2];
  const whole = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / whole;
  const h = (dx1 * sy - sx * dy1) / whole;
  const [a, b] = [x1 - x0 + g * x1, x3 - x0 + h * x3];
  const [d, e] = [y1 - y0 + g * y1, y3 - y0 + h * y3];
  return {
    there: (u, v) => {
      const w = g * u + h * v + 1;
      return [(a * u + b * v + x0) / w, (d * u + e * v + y0) / w];
    },
    // The adjugate of the same matrix.
    back: (x, y) => {
      const w = (d * h - e * g) * x + (b * g - a * h) * y + (a * e - b * d);
      return [
        ((e - y0 * h) * x + (x0 * h - b) * y + (b * y0 - x0 * e)) / w,
        ((y0 * g - d) * x + (a - x0 * g) * y + (x0 * d - a * y0)) / w,
      ];
    },
  };
}
