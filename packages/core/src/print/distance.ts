/**
 * The distance of each pixel to the nearest one that is set, squared, in pixels. Exact, in time that goes with the number
 * of pixels: published: Felzenszwalb and Huttenlocher 2012, Distance transforms of sampled functions (from memory).
 */
export function squaredDistance(set: Uint8Array, width: number, height: number, value: 0 | 1): Float32Array {
  const far = width * width + height * height;
  const out = new Float32Array(width * height);
  for (let at = 0; at < out.length; at += 1) out[at] = set[at] === value ? 0 : far;
  const longest = Math.max(width, height);
  const line = new Float32Array(longest);
  const result = new Float32Array(longest);
  const foot = new Int32Array(longest);
  const edge = new Float32Array(longest + 1);
  const along = (count: number, start: number, stride: number): void => {
    for (let i = 0; i < count; i += 1) line[i] = out[start + i * stride]!;
    lowerEnvelope(line, count, foot, edge, result);
    for (let i = 0; i < count; i += 1) out[start + i * stride] = result[i]!;
  };
  for (let column = 0; column < width; column += 1) along(height, column, width);
  for (let row = 0; row < height; row += 1) along(width, row * width, 1);
  return out;
}

/** The lowest of all parabolas that stand on a line of values. */
function lowerEnvelope(
  line: Float32Array,
  count: number,
  foot: Int32Array,
  edge: Float32Array,
  result: Float32Array,
): void {
  let last = 0;
  foot[0] = 0;
  edge[0] = Number.NEGATIVE_INFINITY;
  edge[1] = Number.POSITIVE_INFINITY;
  for (let q = 1; q < count; q += 1) {
    let meet = 0;
    for (;;) {
      const v = foot[last]!;
      meet = (line[q]! + q * q - (line[v]! + v * v)) / (2 * (q - v));
      if (meet > edge[last]! || last === 0) break;
      last -= 1;
    }
    if (meet <= edge[last]!) meet = edge[last]!;
    last += 1;
    foot[last] = q;
    edge[last] = meet;
    edge[last + 1] = Number.POSITIVE_INFINITY;
  }
  let k = 0;
  for (let q = 0; q < count; q += 1) {
    while (edge[k + 1]! < q) k += 1;
    const v = foot[k]!;
    result[q] = (q - v) * (q - v) + line[v]!;
  }
}
