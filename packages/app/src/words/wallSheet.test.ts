import { psi } from '@dunlinmoss/core';
import type { RigRow } from '@dunlinmoss/contract';
import { sampleBicycle, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';

import { FIRST_UNITS } from '../settings/preferences';
import { wallLines, wallSheet, wallTable, type WallOrder } from './wallSheet';
import { sheetText } from './sheet';

const weighed = (id: string, name: string, front: number, rear: number) =>
  sampleCase({
    id,
    name,
    weighed: [
      { position: 'front', part: 'axle', loadKg: front },
      { position: 'rear', part: 'axle', loadKg: rear },
    ],
  });
const heavy = sampleRig({
  id: '0192f000-0000-7000-8000-0000000000a1',
  name: 'Avocet',
  loadCases: [
    weighed('0192f000-0000-7000-8000-0000000000b1', 'Full', 1300, 1700),
    weighed('0192f000-0000-7000-8000-0000000000b2', 'Empty', 1000, 900),
  ],
});
const light = sampleRig({
  id: '0192f000-0000-7000-8000-0000000000a2',
  name: 'Whimbrel',
  loadCases: [weighed('0192f000-0000-7000-8000-0000000000b3', 'Empty', 900, 800)],
});
/** A slip of the finger, 350 psi on the road, that nobody has answered for: no number until somebody does. */
const doubted = sampleRig({
  id: '0192f000-0000-7000-8000-0000000000a3',
  name: 'Smew',
  axles: sampleRig().axles.map((axle) => ({ ...axle, roadKpa: psi(350) })),
});

const table = (
  order: WallOrder = 'name',
  allLoads = false,
  rigs: readonly RigRow[] = [light, doubted, heavy, sampleBicycle()],
) =>
  wallTable({
    rigs,
    testsOf: () => [],
    kind: 'car',
    grounds: ['gravel', 'softSand'],
    allLoads,
    order,
    units: FIRST_UNITS,
    proofOf: (_, asked) => asked,
  });

describe('wallTable', () => {
  it('has every machine of a kind, by name, each with the grounds chosen in their own order', () => {
    const { grounds, rows } = table();
    expect(grounds).toEqual(['gravel', 'softSand']);
    expect(rows.map(({ name }) => name)).toEqual(['Avocet', 'Smew', 'Whimbrel']);
    expect(rows[0]!.cells.map((cell) => cell?.replaceAll('\u00a0', ' '))).toEqual([
      expect.stringMatching(/^\d+ \/ \d+, 80 km\/h$/),
      expect.stringMatching(/^\d+ \/ \d+, 30 km\/h$/),
    ]);
  });

  it('stands softest first where it is asked so, machines without a number last', () => {
    expect(table('softSand').rows.map(({ name }) => name)).toEqual(['Whimbrel', 'Avocet', 'Smew']);
    expect(table('softSand').rows.at(-1)!.cells).toEqual([null, null]);
  });

  it('has a line a load case where all are wanted', () => {
    const rows = table('name', true).rows.filter(({ name }) => name === 'Avocet');
    expect(rows.map(({ load }) => load)).toEqual(['Empty', 'Full']);
    expect(rows[0]!.cells).not.toEqual(rows[1]!.cells);
  });
});

describe('wallSheet and wallLines', () => {
  it('say the same on paper and in a file', () => {
    const made = table();
    const text = sheetText(wallSheet(made, FIRST_UNITS, '2026-11-28T08:00:00.000Z'));
    expect(text).toContain('Avocet: Full');
    expect(text).toContain('no number: see the rig');
    const [head, ...lines] = wallLines(made);
    expect(head).toEqual(['machine', 'load', 'gravel', 'softSand']);
    expect(lines[0]!.slice(0, 2)).toEqual(['Avocet', 'Full']);
    expect(text).toContain(lines[0]![2]!);
    expect(lines[1]).toEqual(['Smew', 'Touring', '', '']);
  });
});
