import { inverseOf, times } from '../numerics/solve';
import { failure, success, type Result } from '../result/result';
import type { FlatImage } from './flatten';

const { floor, max, min, round } = Math;

export type InkProblem = { readonly code: 'tooDark' } | { readonly code: 'tooFaint' };

/** 1 where there is ink, 0 where there is none. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly mmPerPx: number;
  readonly data: Uint8Array;
}

/** Paper that is darker than this of 255 tells nothing. Assumption. */
const DARKEST_PAPER = 45;
/** Ink that is not at least this much darker than its paper can't be told from it, as a share. Assumption. */
const LEAST_CONTRAST = 0.16;
/** Light falls off over the sheet like a surface of this degree. Assumption. */
const DEGREE = 4;
const ROUNDS = 5;
/** What is darker than this share of the paper about it does not count as paper. */
const PAPER = 0.88;
const SAMPLES = 9_000;

/** Products of x and y up to the degree. */
function terms(x: number, y: number): number[] {
  const all: number[] = [];
  for (let i = 0; i <= DEGREE; i += 1) for (let j = 0; i + j <= DEGREE; j += 1) all.push(x ** i * y ** j);
  return all;
}

/**
 * Ink apart from paper, under light that is uneven: the paper's brightness is fitted as a smooth surface over the whole
 * sheet, what is darker falling out round by round; then each pixel is held against the paper about it, at the middle
 * between ink and paper (Otsu 1979, published, from memory).
 */
export function inkOf({ width, height, mmPerPx, data }: FlatImage): Result<Mask, InkProblem> {
  const paper = paperOf({ width, height, mmPerPx, data });
  if (!paper) return failure({ code: 'tooDark' });
  const ratio = new Float32Array(data.length);
  const counts = new Float64Array(256);
  for (let row = 0; row < height; row += 1) {
    const brightness = paper(row);
    for (let column = 0; column < width; column += 1) {
      const at = row * width + column;
      const value = data[at]! / max(1, brightness(column));
      ratio[at] = value;
      // NaN alone is not itself: nothing was seen there.
      if (value === value) counts[max(0, min(255, round(value * 200)))]! += 1;
    }
  }
  const split = otsu(counts);
  if (!split || (split.light - split.dark) / 200 < LEAST_CONTRAST) return failure({ code: 'tooFaint' });
  const threshold = (split.light + split.dark) / 2 / 200;
  const mask = new Uint8Array(data.length);
  for (let at = 0; at < mask.length; at += 1) mask[at] = ratio[at]! < threshold ? 1 : 0;
  return success({ width, height, mmPerPx, data: mask });
}

/** The paper's own brightness by row and column; nothing where it is too dark to tell. */
function paperOf({ width, height, data }: FlatImage): ((row: number) => (column: number) => number) | null {
  const stride = max(1, floor(Math.sqrt((width * height) / SAMPLES)));
  const samples: { t: number[]; value: number }[] = [];
  for (let row = 0; row < height; row += stride) {
    for (let column = 0; column < width; column += stride) {
      const value = data[row * width + column]!;
      if (value === value) samples.push({ t: terms((2 * column) / width - 1, (2 * row) / height - 1), value });
    }
  }
  const bright = samples.map(({ value }) => value).sort((a, b) => a - b);
  const top = bright[floor(bright.length * 0.9)] ?? 0;
  if (top < DARKEST_PAPER) return null;
  let kept = samples.filter(({ value }) => value > 0.45 * top);
  let surface: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const size = samples[0]!.t.length;
    const normal = Array.from({ length: size }, (_, i) =>
      Array.from({ length: size }, (__, j) => (i === j ? 1e-6 * kept.length : 0)),
    );
    const right = Array.from({ length: size }, () => 0);
    for (const { t, value } of kept) {
      for (let i = 0; i < size; i += 1) {
        right[i]! += t[i]! * value;
        for (let j = 0; j < size; j += 1) normal[i]![j]! += t[i]! * t[j]!;
      }
    }
    surface = times(inverseOf(normal), right);
    const at = (t: readonly number[]): number => t.reduce((sum, each, index) => sum + each * surface[index]!, 0);
    const next = samples.filter(({ t, value }) => value > PAPER * at(t));
    if (next.length < samples.length / 20) break;
    kept = next;
  }
  return (row) => {
    const y = (2 * row) / height - 1;
    // By row: what y makes of each power of x.
    const powers = Array.from({ length: DEGREE + 1 }, () => 0);
    let index = 0;
    for (let i = 0; i <= DEGREE; i += 1)
      for (let j = 0; i + j <= DEGREE; j += 1) powers[i]! += surface[index++]! * y ** j;
    return (column) => {
      const x = (2 * column) / width - 1;
      let value = 0;
      for (let i = DEGREE; i >= 0; i -= 1) value = value * x + powers[i]!;
      return value;
    };
  };
}

/** The two means that a histogram falls apart into most plainly; nothing where there is only one. */
function otsu(counts: Float64Array): { readonly dark: number; readonly light: number } | null {
  const all = counts.reduce((sum, count) => sum + count, 0);
  const whole = counts.reduce((sum, count, value) => sum + count * value, 0);
  let [below, belowSum, most] = [0, 0, 0];
  let found: { dark: number; light: number } | null = null;
  for (let value = 0; value < 255; value += 1) {
    below += counts[value]!;
    belowSum += counts[value]! * value;
    const above = all - below;
    if (below === 0 || above === 0) continue;
    const [dark, light] = [belowSum / below, (whole - belowSum) / above];
    const apart = below * above * (light - dark) ** 2;
    if (apart > most) {
      most = apart;
      found = { dark, light };
    }
  }
  return found;
}
