import type { OutingRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { rigWheels } from '../air/wheels';
import { sampleBicycle, sampleRig } from '../testing/sampleRig';
import { ANY_OUTING, findOutings, isAnyOuting, type BookQuery } from './findOutings';
import { seasonOf } from './season';

const rig = sampleRig();
const bicycle = sampleBicycle({ id: '0192f000-0000-7000-8000-0000000000b1', name: 'Dotterel' });
const day = (number: number): string => `2026-11-${String(number).padStart(2, '0')}T08:00:00.000Z`;

const outing = (id: string, change: Partial<OutingRow> = {}): OutingRow => ({
  id,
  revision: 1,
  rigId: rig.id,
  rigName: rig.name,
  loadCaseId: null,
  groundCode: 'softSand',
  modifiers: [],
  speedKmh: null,
  tankLevel: null,
  stuckRung: 0,
  title: 'Saltings, west gate',
  startedAt: day(10),
  state: 'closed',
  pressures: [
    { position: 'front', pressureKpa: psi(16) },
    { position: 'rear', pressureKpa: psi(18) },
  ],
  pressuresAt: day(10),
  decision: { code: 'keep', note: 'Firm below', counts: true },
  createdAt: day(10),
  updatedAt: day(10),
  ...change,
});

describe('findOutings', () => {
  const all = [
    outing('a', { savedBy: 'sedge' }),
    outing('b', { groundCode: 'mud', title: 'Long meadow', startedAt: day(4), savedBy: 'rushy' }),
    outing('c', { rigId: bicycle.id, rigName: 'Dotterel', decision: null, startedAt: day(1) }),
  ];
  const found = (query: Partial<BookQuery>): string =>
    findOutings(all, { ...ANY_OUTING, ...query })
      .map(({ id }) => id)
      .join('');

  it.each<[Partial<BookQuery>, string]>([
    [{}, 'abc'],
    [{ rigId: bicycle.id }, 'c'],
    [{ personId: 'sedge' }, 'a'],
    [{ groundCode: 'mud' }, 'b'],
    [{ fromMs: Date.parse(day(4)) }, 'ab'],
    [{ text: 'MEADOW' }, 'b'],
    [{ text: 'gate firm' }, 'a'],
    [{ text: 'gate dotterel' }, 'c'],
    [{ text: 'firm', groundCode: 'mud' }, 'b'],
    [{ text: 'nothing of the kind' }, ''],
  ])('%j finds %s', (query, ids) => expect(found(query)).toBe(ids));

  it('knows when nothing is looked for', () => {
    expect(isAnyOuting(ANY_OUTING)).toBe(true);
    expect(isAnyOuting({ ...ANY_OUTING, text: 'x' })).toBe(false);
  });
});

describe('seasonOf', () => {
  const wheels = rigWheels(rig);
  const read = (at: string, shownPsi: number): ReadingRoundRow =>
    ({
      rigId: rig.id,
      gauge: null,
      airTempC: 20,
      tireTempC: null,
      altitudeM: 0,
      justDriven: false,
      readAt: at,
      wheels: wheels.map(({ position, wheel }) => ({ position, wheel, shownKpa: psi(shownPsi) })),
    }) as unknown as ReadingRoundRow;
  const season = (outings: OutingRow[], rounds: ReadingRoundRow[], from = day(1), to = day(28)) =>
    seasonOf({ rigs: [rig, bicycle], outings, airings: [], rounds }, Date.parse(from), Date.parse(to));

  it('has of each ground what was kept: the newest, the lowest and the highest', () => {
    const lower = {
      startedAt: day(12),
      pressures: [
        { position: 'front' as const, pressureKpa: psi(14) },
        { position: 'rear' as const, pressureKpa: psi(18) },
      ],
    };
    const { worked } = season(
      [
        outing('a'),
        outing('b', lower),
        outing('c', { decision: { code: 'lower', note: '', counts: true } }),
        // Struck: kept and shown in the Book, and no number stands on it.
        outing('d', {
          decision: { code: 'keep', note: '', counts: false },
          pressures: [{ position: 'front', pressureKpa: psi(5) }],
        }),
        outing('e', { groundCode: 'mud', state: 'planned' }),
        outing('f', { startedAt: day(29) }),
      ],
      [],
    );
    expect(worked).toEqual([
      {
        rig,
        groundCode: 'softSand',
        outings: 4,
        kept: 2,
        axles: [
          { position: 'front', newestKpa: psi(14), lowestKpa: psi(14), highestKpa: psi(16) },
          { position: 'rear', newestKpa: psi(18), lowestKpa: psi(18), highestKpa: psi(18) },
        ],
      },
    ]);
  });

  it('counts the hours on soft tires of machines that do not carry their air home', () => {
    const { soft } = season(
      [outing('a'), outing('b', { rigId: bicycle.id, pressures: [{ position: 'front', pressureKpa: psi(9) }] })],
      [read('2026-11-10T11:00:00.000Z', 36)],
    );
    expect(soft).toEqual([{ rig, ms: 3 * 3_600_000, lasts: false }]);
    expect(season([outing('a')], []).soft).toEqual([{ rig, ms: 18 * 86_400_000, lasts: true }]);
  });

  it('tells of a wheel that was found low though nobody had let it out, and not of one that had been', () => {
    const { mishaps } = season([], [read(day(5), 36), read(day(9), 24), read(day(11), 22)]);
    expect(mishaps.map(({ kind, at, wheel }) => [kind, at, wheel?.position])).toEqual(
      wheels.map(({ position }) => ['foundLow', day(9), position]),
    );
    expect(season([outing('a')], [read(day(12), 16)]).mishaps).toEqual([]);
    const turned = outing('t', { decision: { code: 'turnedBack', note: '', counts: true } });
    expect(season([turned], []).mishaps).toMatchObject([{ kind: 'turnedBack', outing: { id: 't' } }]);
  });
});
