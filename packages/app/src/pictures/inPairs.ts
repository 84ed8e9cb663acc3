/** Two axles to a picture: a board has two sides. */
export function inPairs<Axle>(axles: readonly Axle[]): readonly (readonly Axle[])[] {
  const pairs: Axle[][] = [];
  for (let index = 0; index < axles.length; index += 2) pairs.push(axles.slice(index, index + 2));
  return pairs;
}
