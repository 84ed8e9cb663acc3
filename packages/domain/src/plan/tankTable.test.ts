import { PAVEMENT, psi } from '@dunlinmoss/core';

import { sampleAxle, sampleCase, sampleRig } from '../testing/sampleRig';
import { tankTable } from './tankTable';

const UNITS = { pressure: 'psi' as const };
const REQUEST = { ground: 'fieldMoist' as const, modifiers: [], speedKmh: null };

/** A machine of a family that was weighed full and empty, kg an axle. */
const machine = (
  family: 'tractor' | 'sprayer' | 'farmTrailer',
  axles: readonly (readonly [
    position: 'front' | 'rear' | 'trailer',
    marking: string,
    fullKg: number,
    emptyKg: number,
  ])[],
) =>
  sampleRig({
    family,
    axles: axles.map(([position, tireMarking]) =>
      sampleAxle(position, { tireMarking, roadKpa: psi(30), wheels: 2, behindMm: position === 'front' ? 0 : 3000 }),
    ),
    loadCaseId: 'tank',
    loadCases: [
      sampleCase({
        id: 'tank',
        name: 'tank',
        method: 'fullAndEmpty',
        weighed: axles.map(([position, , loadKg]) => ({ position, part: 'axle', loadKg })),
        unladen: axles.map(([position, , , loadKg]) => ({ position, loadKg })),
      }),
    ],
  });

describe('tankTable', () => {
  const MACHINES = [
    [
      'a tractor with tanks',
      machine('tractor', [
        ['front', '540/65R28', 6000, 3000],
        ['rear', '650/65R38', 9000, 5000],
      ]),
    ],
    [
      'a sprayer',
      machine('sprayer', [
        ['front', '380/90R46', 6000, 4000],
        ['rear', '380/90R46', 7500, 4000],
      ]),
    ],
    ['a tanker', machine('farmTrailer', [['trailer', '650/55R26.5', 9000, 3000]])],
  ] as const;

  it.each(MACHINES)('%s: road full, field full, field half, field empty and road empty, by load', (_, rig) => {
    const rows = tankTable(rig, [], REQUEST, UNITS);
    expect(rows.map(({ ground, state }) => [ground, state])).toEqual([
      [PAVEMENT, 'full'],
      ['fieldMoist', 'full'],
      ['fieldMoist', 'half'],
      ['fieldMoist', 'empty'],
      [PAVEMENT, 'empty'],
    ]);
    const [roadFull, full, half, empty, roadEmpty] = rows.map(({ axles }) => axles.map(({ startKpa }) => startKpa));
    for (const index of rig.axles.keys()) {
      expect(roadFull![index]).toBeGreaterThan(full![index]!);
      expect(full![index]).toBeGreaterThan(half![index]!);
      expect(half![index]).toBeGreaterThan(empty![index]!);
      expect(roadEmpty![index]).toBeLessThanOrEqual(roadFull![index]!);
    }
  });

  it('says nothing of a machine without a tank, nor on the road itself', () => {
    expect(tankTable(sampleRig(), [], { ...REQUEST, ground: 'softSand' }, UNITS)).toEqual([]);
    expect(tankTable(MACHINES[1][1], [], { ...REQUEST, ground: PAVEMENT }, UNITS)).toEqual([]);
  });
});
