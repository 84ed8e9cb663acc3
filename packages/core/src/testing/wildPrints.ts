import { randomLcg } from 'd3-random';

import type { Camera, KnownPrint } from './syntheticPrint';

/* What photos of prints look like out of doors. All of it is seeded, and what is true of each print is known. */

const { abs, cos, floor, hypot, PI, sin, tan } = Math;
const box = (x: number, y: number, wide: number, long: number): boolean => abs(x) <= wide / 2 && abs(y) <= long / 2;

/** A print of blocks: gross is its box with cut corners, net what its blocks cover, counted on a fine grid. */
function printOf(
  lengthMm: number,
  widthMm: number,
  centre: readonly [number, number],
  isBlock: (x: number, y: number) => boolean,
): KnownPrint {
  const isInk = (xMm: number, yMm: number): boolean => {
    const [x, y] = [xMm - centre[0], yMm - centre[1]];
    return box(x, y, widthMm, lengthMm) && isBlock(x, y);
  };
  let netMm2 = 0;
  for (let x = -widthMm / 2 + 0.5; x < widthMm / 2; x += 1)
    for (let y = -lengthMm / 2 + 0.5; y < lengthMm / 2; y += 1) if (isBlock(x, y)) netMm2 += 1;
  return { lengthMm, widthMm, cornerMm: 0, grossMm2: lengthMm * widthMm, netMm2, isInk };
}

/** A mud tread: staggered blocks with grooves as wide as a thumb, open at the shoulders. */
export const mudTread = (seed: number): KnownPrint => {
  const random = randomLcg(seed / 997);
  const [pitch, groove] = [42 + 6 * random(), 13 + 4 * random()];
  const columns = [-66, -22, 22, 66];
  return printOf(200 + 30 * random(), 176, [150, 210], (x, y) => {
    const column = columns.findIndex((at) => abs(x - at) <= 22);
    if (abs(x - columns[column]!) > 22 - groove / 2 && abs(abs(x) - 88) > 1) return abs(x) > 86;
    const shifted = y + (column % 2) * (pitch / 2) + 1000 * pitch;
    // The ends of the print are blocks: it was lowered and lifted, not cut.
    return shifted - pitch * floor(shifted / pitch) > groove || abs(y) > 88;
  });
};

/** A farm tire's bars, slanting from the shoulders to the middle, far apart. */
export const farmLugs = (seed: number): KnownPrint => {
  const random = randomLcg(seed / 991);
  const [pitch, bar] = [92 + 10 * random(), 34];
  return printOf(330, 240, [148.5, 210], (x, y) => {
    const along = y + abs(x) * tan(PI / 8) + (x > 0 ? pitch / 2 : 0) + 1000 * pitch;
    return along - pitch * floor(along / pitch) < bar || abs(y) > 158;
  });
};

type Surface = NonNullable<Camera['surface']>;

/** A streak of half dry paint that was dragged out of the print. */
export function smear(seed: number, dark: number): Surface {
  const off = 120 + 60 * randomLcg(seed / 983)();
  return (x, y) => (abs(x - off) < 16 && y > 300 && y < 372 ? dark : 1);
}

/** The sole of a boot beside it. */
export const boot =
  (x0: number): Surface =>
  (x, y) => {
    const [dx, dy] = [(x - x0) / 34, (y - 215) / 120];
    if (hypot(dx, dy) > 1) return 1;
    return y % 22 > 7 ? 0.22 : 1;
  };

/** Points of the grid that stones are painted on, for each mm. */
const FINE = 2;

/** Dark stones strewn over the sheet. */
export function gravel(seed: number, stones: number): Surface {
  const random = randomLcg(seed / 977);
  const [wide, high] = [297 * FINE, 420 * FINE];
  const light = new Float32Array(wide * high).fill(1);
  for (let stone = 0; stone < stones; stone += 1) {
    const [sx, sy, r] = [wide * random(), high * random(), FINE * (1.5 + 3 * random())];
    for (let y = floor(sy - r); y <= sy + r; y += 1) {
      for (let x = floor(sx - r); x <= sx + r; x += 1) {
        const isOn = x >= 0 && y >= 0 && x < wide && y < high && hypot(x - sx, y - sy) < r;
        if (isOn) light[y * wide + x] = 0.35;
      }
    }
  }
  return (x, y) => light[floor(y * FINE) * wide + floor(x * FINE)] ?? 1;
}

/** The edge of a shadow across the sheet, sharp as in the noon sun. */
export function shadowEdge(seed: number, takes: number): Surface {
  const angle = (randomLcg(seed / 971)() - 0.5) * 1.2;
  const [along, across] = [sin(angle), cos(angle)];
  return (x, y) => ((x - 150) * along + (y - 215) * across > 0 ? 1 - takes : 1);
}

/** Concrete: coarse and fine grain, a few dark pits. */
export function concrete(seed: number): Surface {
  const random = randomLcg(seed / 967);
  const grain = Array.from({ length: 64 * 64 }, () => random());
  const pits = gravel(seed + 1, 60);
  return (x, y) => {
    const coarse = grain[(floor(y / 9) % 64) * 64 + (floor(x / 9) % 64)]!;
    const fine = grain[(floor(y / 1.3) % 64) * 64 + (floor(x / 1.7) % 64)]!;
    return (0.78 + 0.14 * coarse + 0.12 * fine) * pits(x, y);
  };
}
