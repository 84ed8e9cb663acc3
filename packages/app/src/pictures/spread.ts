/**
 * Moves labels apart so that none lie closer than a gap, each as near to its own place as the others let it, all
 * within the range where they fit. Gives the new places in the order given.
 */
export function spread(places: readonly number[], gap: number, low: number, high: number): number[] {
  const order = places.map((_, index) => index).sort((a, b) => places[a]! - places[b]!);
  const result = [...places];
  let floor = low;
  for (const index of order) {
    result[index] = Math.max(result[index]!, floor);
    floor = result[index]! + gap;
  }
  let ceiling = high;
  for (const index of [...order].reverse()) {
    result[index] = Math.min(result[index]!, ceiling);
    ceiling = result[index]! - gap;
  }
  return result;
}
