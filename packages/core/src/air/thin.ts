/** The least, the most and the middle of a stretch of a long log. */
export interface Stretch {
  readonly at: number;
  readonly least: number;
  readonly most: number;
  readonly count: number;
}

/**
 * A long log as few stretches of equal time, each with its least and most, so that no peak is lost however few are
 * drawn. Stretches without a reading are left out: a gap stays a gap. Exact.
 *
 * @param readings in order of time; times and values in any unit
 */
export function thin(
  readings: Iterable<{ readonly at: number; readonly value: number }>,
  from: number,
  to: number,
  stretches: number,
): Stretch[] {
  const width = (to - from) / stretches;
  const out: Stretch[] = [];
  let current = -1;
  for (const { at, value } of readings) {
    if (at < from || at > to) continue;
    const index = Math.min(stretches - 1, Math.floor((at - from) / width));
    const last = out.at(-1);
    if (index !== current || !last) {
      current = index;
      out.push({ at: from + (index + 0.5) * width, least: value, most: value, count: 1 });
    } else {
      out[out.length - 1] = {
        ...last,
        least: Math.min(last.least, value),
        most: Math.max(last.most, value),
        count: last.count + 1,
      };
    }
  }
  return out;
}
