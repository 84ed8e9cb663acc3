/*
 * Distances along tracks against a geometry library (turf, a dev dependency), on generated tracks. Both take the earth for
 * a sphere of the same radius: they agree to the last places.
 */
import { distance } from '@turf/distance';
import { length } from '@turf/length';

import { distanceM, type TrackPoint } from '../src/track/distance';
import { trackProfile } from '../src/track/profile';

/** A small generator with a seed: tracks are the same every time. */
function* numbers(seed: number): Generator<number> {
  let state = seed;
  for (;;) {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    yield state / 4_294_967_296;
  }
}

function wander(seed: number, count: number, latDeg: number): TrackPoint[] {
  const draw = numbers(seed);
  const next = (): number => draw.next().value as number;
  const points: TrackPoint[] = [{ lonDeg: 179 * (2 * next() - 1), latDeg, elevationM: 10 }];
  while (points.length < count) {
    const { lonDeg, latDeg: lat } = points.at(-1)!;
    points.push({ lonDeg: lonDeg + (next() - 0.5) / 500, latDeg: lat + (next() - 0.5) / 500, elevationM: 10 });
  }
  return points;
}
const coordinates = (points: readonly TrackPoint[]): [number, number][] =>
  points.map(({ lonDeg, latDeg }) => [lonDeg, latDeg]);

describe('tracks against a geometry library', () => {
  it.each([0, 12, 54, -37, 78])('at %d° north: every step and the whole length', (latDeg) => {
    const points = wander(latDeg + 100, 800, latDeg);
    const line = {
      type: 'Feature' as const,
      properties: {},
      geometry: { type: 'LineString' as const, coordinates: coordinates(points) },
    };
    const whole = 1000 * length(line, { units: 'kilometers' });
    expect(trackProfile(points).alongM.at(-1)! / whole).toBeCloseTo(1, 6);
    const [a, b] = [points[0]!, points[1]!];
    const step = 1000 * distance(coordinates([a])[0]!, coordinates([b])[0]!, { units: 'kilometers' });
    expect(distanceM(a, b) / step).toBeCloseTo(1, 6);
  });

  it('half way round the earth and over the date line', () => {
    const at = (lonDeg: number, latDeg: number): TrackPoint => ({ lonDeg, latDeg, elevationM: null });
    expect(distanceM(at(0, 0), at(180, 0))).toBeCloseTo(Math.PI * 6_371_008.8, 3);
    expect(distanceM(at(179.9, 10), at(-179.9, 10))).toBeCloseTo(
      1000 * distance([179.9, 10], [-179.9, 10], { units: 'kilometers' }),
      3,
    );
  });
});
