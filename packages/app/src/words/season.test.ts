import { seasonOf, standingAxles } from '@dunlinmoss/domain';

import { FIRST_UNITS } from '../settings/preferences';
import { sampleJob } from '../testing/sampleJob';
import { seasonSheet, sheetCells } from './season';
import { sheetText } from './sheet';

const { rig } = sampleJob();
const nowMs = Date.parse('2026-11-28T12:00:00.000Z');
const about = { from: '2026-01-01T00:00:00.000Z', now: new Date(nowMs).toISOString(), units: FIRST_UNITS };
const drive = (id: string, kpa: number, code: string, note = '') =>
  ({
    ...{ id, rigId: rig.id, groundCode: 'softSand', state: 'closed', startedAt: '2026-11-20T08:00:00.000Z' },
    pressuresAt: '2026-11-20T08:00:00.000Z',
    pressures: rig.axles.map(({ position }) => ({ position, pressureKpa: kpa })),
    decision: { code, note, counts: true },
  }) as never;
const sheet = (outings: never[]) =>
  seasonSheet(
    seasonOf({ rigs: [rig], outings, airings: [], rounds: [] }, 0, nowMs),
    [{ rig, standing: standingAxles({ rig, airings: [], rounds: [], outings }, 'noTube', nowMs) }],
    about,
  );

it('says of an empty season what is missing, part by part, with every cell of every table', () => {
  const empty = sheet([]);
  expect(sheetText(empty)).toMatch(
    /No outing in this time\.[\s\S]*None was written down\.[\s\S]*Nothing that was written/,
  );
  for (const part of empty.parts) {
    if ('head' in part) for (const row of part.rows) expect(row).toHaveLength(part.head.length);
  }
});

it('tells what was kept, for how long it was soft, and what went wrong', () => {
  const text = sheetText(
    sheet([drive('a', 110, 'keep'), drive('b', 96, 'keep'), drive('c', 150, 'turnedBack', 'Rut too deep')]),
  );
  expect(text).toMatch(/Soft sand +\d+ \/ \d+ psi; front 14 to 16 psi, rear 14 to 16 psi +2 of 3 outings/);
  expect(text).toMatch(/8 days +still, until it is read at road pressure/);
  expect(text).toContain('Turned back on soft sand at 22 / 22 psi: Rut too deep');
});

it('has the tables one below the other in a file, each under its name', () => {
  const cells = sheetCells(sheet([drive('a', 110, 'keep')]));
  expect(cells[0]).toEqual(['Pressures that worked']);
  expect(cells.filter((row) => row.length === 0)).toHaveLength(3);
});
