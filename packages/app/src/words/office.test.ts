import { allMachines, seasonOf, standingAxles } from '@dunlinmoss/domain';
import { sampleJob } from '../testing/sampleJob';
import { FIRST_UNITS } from '../settings/preferences';
import {
  officeCells,
  officeFilter,
  officeLine,
  officeSheet,
  OFFICE_COLUMNS,
  sortKey,
  type OfficeColumn,
} from './office';

const NOW = Date.parse('2026-11-28T12:00:00.000Z');
type Input = Parameters<typeof allMachines>[0];
const COLUMNS = Object.keys(OFFICE_COLUMNS) as OfficeColumn[];
const { rig } = sampleJob();
const of = (change: Partial<typeof rig>, rounds: Input['rounds'] = [], outings: Input['outings'] = []) =>
  officeLine(allMachines({ rigs: [{ ...rig, ...change }], outings, airings: [], rounds, tests: [], nowMs: NOW })[0]!, {
    names: { sedge: 'Sedge' },
    me: 'rushy',
    units: FIRST_UNITS,
    nowMs: NOW,
    worked: seasonOf({ rigs: [{ ...rig, ...change }], outings, airings: [], rounds }, 0, NOW).worked,
    standing: standingAxles({ rig, airings: [], rounds, outings }, 'noTube', NOW),
  });

describe('officeLine', () => {
  it('never calls all right what nobody read', () => {
    const line = of({});
    expect(line.lastRead).toBe('not every wheel');
    expect(line.readAt).toBe('');
    expect(line.state).toBe('Nothing under way');
    expect(line.tires).toContain('not read');
  });

  it('says what is not known instead of a number', () => {
    const axles = rig.axles.map((axle, index) => (index === 0 ? { ...axle, roadKpa: null } : axle));
    const line = of({ loadCases: [], loadCaseId: null, axles });
    expect(line.load).toBe('not weighed');
    expect(line.road).toMatch(/^\? \/ .+ psi$/);
  });

  it('says who has it, by name where it is somebody of this crew', () => {
    expect(of({ keeperId: 'sedge' }).keeper).toBe('Sedge');
    expect(of({ keeperId: 'gone' }).keeper).toBe('');
    expect(of({}).keeper).toBe('');
  });

  it('has what was kept on each ground, in the order it was last driven', () => {
    const drive = (id: string, groundCode: string, kpa: number, startedAt: string) =>
      ({
        ...{ id, rigId: rig.id, groundCode, state: 'closed', startedAt, pressuresAt: startedAt, updatedAt: startedAt },
        pressures: rig.axles.map(({ position }) => ({ position, pressureKpa: kpa })),
        decision: { code: 'keep', note: '', counts: true },
      }) as unknown as Input['outings'][number];
    const line = of(
      {},
      [],
      [drive('b', 'softSand', 110, '2026-11-20T08:00:00.000Z'), drive('a', 'mud', 150, '2026-11-02T08:00:00.000Z')],
    );
    expect(line.worked.replaceAll('\u00a0', ' ')).toMatch(/^Soft sand: 16( \/ 16)* psi; Mud: 22( \/ 22)* psi$/);
  });

  it('has a text in every column, so that paper and file have every cell', () => {
    const line = of({});
    for (const column of COLUMNS) expect(typeof line[column]).toBe('string');
    expect(officeCells([line], COLUMNS).map((cells) => cells.length)).toEqual([COLUMNS.length, COLUMNS.length]);
    const [part] = officeSheet([line], ['name', 'state'], new Date(NOW).toISOString()).parts;
    expect(part).toMatchObject({ head: ['Machine', 'State'], rows: [[line.name, line.state]] });
  });
});

describe('officeFilter', () => {
  const lines = [of({ id: 'a', name: 'Knot, hill rounds' }), of({ id: 'b', name: 'Ruff, plow' })];

  it.each([
    ['', ['a', 'b']],
    ['knot', ['a']],
    ['PLOW nothing', ['b']],
    ['plow knot', []],
  ])('“%s” leaves %j', (text, ids) => expect(officeFilter(lines, text).map(({ id }) => id)).toEqual(ids));
});

describe('sortKey', () => {
  it('puts what is not known first, and loads by their weight', () => {
    const [light, none] = [of({}), of({ loadCases: [], loadCaseId: null })];
    expect(sortKey(none, 'load')).toBeLessThan(Number(sortKey(light, 'load')));
    expect(sortKey(light, 'lastRead')).toBe('');
    expect(sortKey(light, 'name')).toBe(light.name);
  });
});
