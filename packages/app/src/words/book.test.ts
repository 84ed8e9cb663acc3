import type { OutingRow } from '@dunlinmoss/contract';

import { FIRST_UNITS } from '../settings/preferences';
import { sampleJob } from '../testing/sampleJob';
import { bookSheet } from './book';
import { sheetCells } from './season';

const { rig } = sampleJob();
const outing = (change: object) =>
  ({
    ...{ id: 'a', rigId: rig.id, rigName: rig.name, groundCode: 'softSand', title: 'Saltings', state: 'closed' },
    ...{ startedAt: '2026-11-20T08:00:00.000Z', stuckRung: 0, pressures: [{ position: 'front', pressureKpa: 110.3 }] },
    ...{ decision: { code: 'keep', note: 'Firm below', counts: true }, ...change },
  }) as unknown as OutingRow;
const cells = (outings: OutingRow[]) =>
  sheetCells(
    bookSheet(
      { outings, rigs: [rig], tests: [], names: { sedge: 'Sedge' }, units: FIRST_UNITS },
      '2026-11-28T12:00:00.000Z',
    ),
  );

it('has each outing on a line with every cell, also of a machine that was archived and an outing without a decision', () => {
  const [head, ...rows] = cells([outing({}), outing({ rigId: 'gone', decision: null, pressures: [], title: '' })]);
  expect(head).toHaveLength(8);
  for (const row of rows.slice(0, 2)) expect(row).toHaveLength(8);
  expect(rows[0]!.join('|').replaceAll('\u00a0', ' ')).toBe(
    `20 Nov 2026|Saltings|${rig.name}|Soft sand|Back at road pressure|front 16 psi||Keep this pressure: Firm below`,
  );
});

it('names who wrote it where people sign in', () => {
  const [head, mine, theirs] = cells([outing({ savedBy: 'sedge' }), outing({ savedBy: 'gone' })]);
  expect([head, mine, theirs].map((row) => row!.at(-1))).toEqual(['By', 'Sedge', 'somebody else']);
});
