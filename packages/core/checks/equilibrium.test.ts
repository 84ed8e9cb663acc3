import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';

import { loadsOf, type LoadItem, type RigGeometry } from '../src/index';

/*
 * Static equilibrium, exact: forces and moments of a rigid body sum to nothing. The same rigs are solved as linear
 * equations by a matrix library.
 */

const geometry: RigGeometry = {
  axles: [
    { position: 'front', wheels: 2, behindMm: 0, trackMm: 1600 },
    { position: 'rear', wheels: 2, behindMm: 2900, trackMm: 1600 },
    { position: 'trailer', wheels: 2, behindMm: 3800, trackMm: 1700 },
  ],
  hitchMm: 3700,
};
const unladen = [
  { position: 'front' as const, loadKg: 1300 },
  { position: 'rear' as const, loadKg: 1200 },
  { position: 'trailer' as const, loadKg: 600 },
  { position: 'coupling' as const, loadKg: 70 },
];
const thing = (body: LoadItem['body'], massKg: number, behindMm: number): LoadItem => ({
  kind: 'thing',
  name: '',
  body,
  behindMm,
  rightMm: null,
  massKg,
});

describe('loads against equilibrium', () => {
  it('front, rear, trailer axle and coupling solve the four equations of the two bodies', () => {
    const things = fc.array(
      fc.tuple(fc.double({ min: 5, max: 300, noNaN: true }), fc.double({ min: -500, max: 4200, noNaN: true })),
      {
        maxLength: 4,
      },
    );
    fc.assert(
      fc.property(things, things, (onVehicle, onTrailer) => {
        const result = loadsOf(geometry, {
          method: 'moments',
          weighed: [],
          wholeKg: null,
          unladen,
          items: [
            ...onVehicle.map(([kg, at]) => thing('vehicle', kg, at)),
            ...onTrailer.map(([kg, at]) => thing('trailer', kg, at)),
          ],
          posture: null,
          split: null,
          level: null,
        });
        fc.pre(result.ok);
        if (!result.ok) return;
        const sum = (pairs: readonly (readonly [number, number])[], weight: (at: number) => number): number =>
          pairs.reduce((total, [kg, at]) => total + kg * weight(at), 0);
        // Unknowns: front, rear, trailer axle, coupling. The empty loads stand where their scales stood.
        const [wheelbase, hitch, axle] = [2900, 3700, 3800];
        const left = new Matrix([
          [1, 1, 0, -1],
          [0, wheelbase, 0, -hitch],
          [0, 0, 1, 1],
          [0, 0, axle, 0],
        ]);
        const right = Matrix.columnVector([
          1300 + 1200 + sum(onVehicle, () => 1),
          1200 * wheelbase + sum(onVehicle, (at) => at),
          600 + 70 + sum(onTrailer, () => 1),
          600 * axle + sum(onTrailer, (at) => at),
        ]);
        const solved = solve(left, right).to1DArray();
        const found = [...result.value.axles.map(({ loadKg }) => loadKg), result.value.couplingKg!];
        found.forEach((kg, index) => expect(kg).toBeCloseTo(solved[index]!, 6));
      }),
      { seed: 51, numRuns: 300 },
    );
  });

  it('puts a thing over the middle on both axles alike, and over an axle on that one alone (closed form)', () => {
    const two: RigGeometry = { axles: geometry.axles.slice(0, 2), hitchMm: null };
    const on = (at: number): number[] => {
      const result = loadsOf(two, {
        method: 'moments',
        weighed: [],
        wholeKg: null,
        unladen: unladen.slice(0, 2),
        items: [thing('vehicle', 100, at)],
        posture: null,
        split: null,
        level: null,
      });
      return result.ok ? result.value.axles.map(({ loadKg }) => loadKg) : [];
    };
    expect(on(1450)).toEqual([1350, 1250]);
    expect(on(2900)).toEqual([1300, 1300]);
    expect(on(0)).toEqual([1400, 1200]);
  });
});
