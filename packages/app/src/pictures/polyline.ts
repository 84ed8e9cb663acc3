/** An SVG path through points, one after the other; nothing for no points. */
export const polyline = (points: readonly (readonly [number, number])[]): string =>
  points.length === 0 ? '' : `M${points.map(([x, y]) => `${x},${y}`).join('L')}`;
