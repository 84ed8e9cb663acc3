import { randomLcg, randomNormal } from 'd3-random';

import type { Photo } from '../print/flatten';
import type { PointPx, Quad } from '../print/plane';

// Taken out once: in a test's own world every look at Math itself is slow, and there are millions.
const { abs, exp, floor, max, min } = Math;

/** A print of known areas, as it lies on a sheet: a box with round corners, grooves along it and across it. */
export interface KnownPrint {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly cornerMm: number;
  readonly grossMm2: number;
  readonly netMm2: number;
  readonly isInk: (xMm: number, yMm: number) => boolean;
}

export interface PrintShape {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly cornerMm: number;
  /** Grooves in the rolling direction, and across it, and how wide they are. */
  readonly along: number;
  readonly across: number;
  readonly grooveMm: number;
  readonly centre: readonly [number, number];
  readonly turnedDeg?: number;
}

/** All areas exact: grooves cross the straight part of the outline alone. */
export function knownPrint(shape: PrintShape): KnownPrint {
  const { lengthMm, widthMm, cornerMm, along, across, grooveMm, centre, turnedDeg = 0 } = shape;
  const spread = (count: number, room: number): number[] =>
    Array.from({ length: count }, (_, index) => (room * (index + 1)) / (count + 1) - room / 2);
  const columns = spread(along, widthMm - 2 * cornerMm);
  const rows = spread(across, lengthMm - 2 * cornerMm);
  const grossMm2 = lengthMm * widthMm - (4 - Math.PI) * cornerMm ** 2;
  const grooved = along * grooveMm * lengthMm + across * grooveMm * widthMm - along * across * grooveMm ** 2;
  const [cos, sin] = [Math.cos((turnedDeg * Math.PI) / 180), Math.sin((turnedDeg * Math.PI) / 180)];
  return {
    lengthMm,
    widthMm,
    cornerMm,
    grossMm2,
    netMm2: grossMm2 - grooved,
    isInk: (xMm, yMm) => {
      const [dx, dy] = [xMm - centre[0], yMm - centre[1]];
      const [x, y] = [dx * cos + dy * sin, dy * cos - dx * sin];
      const [ax, ay] = [abs(x), abs(y)];
      if (ax > widthMm / 2 || ay > lengthMm / 2) return false;
      const [cx, cy] = [ax - (widthMm / 2 - cornerMm), ay - (lengthMm / 2 - cornerMm)];
      if (cx > 0 && cy > 0 && cx * cx + cy * cy > cornerMm * cornerMm) return false;
      const inGroove = (at: number, grooves: readonly number[]): boolean =>
        grooves.some((groove) => abs(at - groove) < grooveMm / 2);
      return !inGroove(x, columns) && !inGroove(y, rows);
    },
  };
}

export interface Camera {
  readonly width: number;
  readonly height: number;
  /** Where the corners of the sheet are in the photo, px. */
  readonly corners: Quad;
  readonly sheetMm: readonly [number, number];
  readonly paper: number;
  readonly ink: readonly [number, number, number];
  /** Share of the light that is lost from one side to the other. */
  readonly falloff: number;
  /** A soft shadow over part of the sheet: share of the light that it takes. */
  readonly shadow: number;
  /** Standard deviation of the noise, of 255. */
  readonly noise: number;
  /** Width of the blur, px. */
  readonly blur: number;
  readonly seed: number;
  /** What the sheet or the ground is like from place to place, as a share of its light: stains, stones, the edge of a shadow. */
  readonly surface?: (xMm: number, yMm: number) => number;
}

/** A photo of some prints on a sheet: perspective, uneven light, a shadow, blur and noise, the same for the same seed. */
export function photograph(prints: readonly KnownPrint[], camera: Camera): Photo {
  const { width, height, corners, sheetMm, paper, ink, falloff, shadow, noise, blur, seed, surface } = camera;
  const toSheet = quadTo(corners);
  const normal = randomNormal.source(randomLcg(seed / 1000))(0, noise);
  const light = new Float32Array(3 * width * height);
  const looks = 2;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      let [inked, on, dimmed] = [0, 0, 0];
      for (let look = 0; look < looks * looks; look += 1) {
        const [u, v] = toSheet(x + ((look % looks) + 0.5) / looks, y + (floor(look / looks) + 0.5) / looks);
        if (u < 0 || v < 0 || u > 1 || v > 1) continue;
        on += 1;
        const [xMm, yMm] = [u * sheetMm[0], v * sheetMm[1]];
        dimmed += surface ? surface(xMm, yMm) : 1;
        if (prints.some(({ isInk }) => isInk(xMm, yMm))) inked += 1;
      }
      const whole = looks * looks;
      const dim = on === 0 ? 1 : dimmed / on;
      const lit = (1 - falloff * (x / width)) * (1 - shadow / (1 + exp(-((y - 0.55 * height) / (0.12 * height)))));
      for (let channel = 0; channel < 3; channel += 1) {
        const floor = 90 * ((whole - on) / whole);
        const sheet = paper * ((on - inked) / whole) + ink[channel]! * (inked / whole);
        light[3 * (y * width + x) + channel] = lit * (floor + dim * sheet);
      }
    }
  }
  const soft = blur > 0 ? blurred(light, width, height, blur) : light;
  const data = new Uint8ClampedArray(4 * width * height);
  for (let at = 0; at < width * height; at += 1) {
    const grain = normal();
    for (let channel = 0; channel < 3; channel += 1) data[4 * at + channel] = soft[3 * at + channel]! + grain;
    data[4 * at + 3] = 255;
  }
  return { width, height, data };
}

/** Boxes of an odd width over each other, along and across. */
function blurred(light: Float32Array, width: number, height: number, radius: number): Float32Array {
  let from = light;
  for (const [dx, dy] of [
    [1, 0],
    [0, 1],
    [1, 0],
    [0, 1],
  ] as const) {
    const to = new Float32Array(from.length);
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        for (let channel = 0; channel < 3; channel += 1) {
          let sum = 0;
          for (let k = -radius; k <= radius; k += 1) {
            const [px, py] = [min(width - 1, max(0, x + k * dx)), min(height - 1, max(0, y + k * dy))];
            sum += from[3 * (py * width + px) + channel]!;
          }
          to[3 * (y * width + x) + channel] = sum / (2 * radius + 1);
        }
      }
    }
    from = to;
  }
  return from;
}

/** From the photo to the sheet, by elimination: not by the closed form that is tested. */
function quadTo(corners: Quad): (x: number, y: number) => PointPx {
  const [[x0, y0], [x1, y1], [x2, y2], [x3, y3]] = corners;
  const rows: number[][] = (
    [
      [x0, y0, 0, 0],
      [x1, y1, 1, 0],
      [x2, y2, 1, 1],
      [x3, y3, 0, 1],
    ] as const
  ).flatMap(([x, y, u, v]) => [
    [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
    [0, 0, 0, x, y, 1, -v * x, -v * y, v],
  ]);
  for (let column = 0; column < 8; column += 1) {
    const pivot = rows
      .slice(column)
      .reduce(
        (best, _, index) => (abs(rows[column + index]![column]!) > abs(rows[best]![column]!) ? column + index : best),
        column,
      );
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    for (let row = 0; row < 8; row += 1) {
      if (row === column) continue;
      const share = rows[row]![column]! / rows[column]![column]!;
      for (let k = column; k < 9; k += 1) rows[row]![k]! -= share * rows[column]![k]!;
    }
  }
  const h = rows.map((row, index) => row[8]! / row[index]!);
  return (x, y) => {
    const w = h[6]! * x + h[7]! * y + 1;
    return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
  };
}
