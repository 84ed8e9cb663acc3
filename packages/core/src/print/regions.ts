import type { Mask } from './ink';

export interface Region {
  readonly label: number;
  readonly pixels: number;
  /** It reaches the edge of the picture. */
  readonly atEdge: boolean;
}

/** Every patch of pixels of one value that hang together by their sides, and which pixel belongs to which. */
export function regionsOf(
  { width, height, data }: Mask,
  value: 0 | 1,
): { readonly regions: Region[]; readonly labels: Int32Array } {
  const labels = new Int32Array(data.length);
  const stack = new Int32Array(data.length);
  const regions: Region[] = [];
  for (let seed = 0; seed < data.length; seed += 1) {
    if (data[seed] !== value || labels[seed] !== 0) continue;
    const label = regions.length + 1;
    let [height0, pixels, atEdge] = [0, 0, false];
    labels[seed] = label;
    stack[height0++] = seed;
    while (height0 > 0) {
      const at = stack[--height0]!;
      pixels += 1;
      const column = at % width;
      const row = (at - column) / width;
      if (column === 0 || row === 0 || column === width - 1 || row === height - 1) atEdge = true;
      const visit = (next: number): void => {
        if (data[next] === value && labels[next] === 0) {
          labels[next] = label;
          stack[height0++] = next;
        }
      };
      if (column > 0) visit(at - 1);
      if (column < width - 1) visit(at + 1);
      if (row > 0) visit(at - width);
      if (row < height - 1) visit(at + width);
    }
    regions.push({ label, pixels, atEdge });
  }
  return { regions, labels };
}

/** A mask without the patches that are smaller than so many pixels. */
export function withoutSpecks(mask: Mask, leastPixels: number): Mask {
  const { regions, labels } = regionsOf(mask, 1);
  return {
    ...mask,
    data: mask.data.map((value, at) => (value === 1 && regions[labels[at]! - 1]!.pixels >= leastPixels ? 1 : 0)),
  };
}

/** A mask with every hole filled: what can't be reached from the edge without crossing it. */
export function withoutHoles(mask: Mask): Mask {
  const { regions, labels } = regionsOf(mask, 0);
  return { ...mask, data: mask.data.map((value, at) => (value === 1 || !regions[labels[at]! - 1]!.atEdge ? 1 : 0)) };
}
