import { CALCULATORS, openApi } from './api';
import { doubtfulLoads, fieldProblems, PLAIN_AXLE, questionsOf, RESOURCES, rigLoads, type Rig } from './index';
import { outing } from './resources/outing';
import { rig } from './resources/rig';

const problemsOf = (
  schema: { safeParse: (value: unknown) => { success: boolean; error?: unknown } },
  value: unknown,
) => {
  const checked = schema.safeParse(value);
  return checked.success ? [] : fieldProblems(checked.error as never);
};
const axle = { ...PLAIN_AXLE, behindMm: 0, trackMm: 1570, tireMarking: '265/65R17 112T', roadKpa: 240 };
const aCase = {
  id: '0192f000-0000-7000-8000-000000000003',
  name: 'Touring',
  method: 'scales',
  weighed: [
    { position: 'front', part: 'axle', loadKg: 1160 },
    { position: 'rear', part: 'axle', loadKg: 1395 },
  ],
  wholeKg: null,
  unladen: [],
  items: [],
  posture: null,
  split: null,
  level: null,
};
const aRig = {
  id: '0192f000-0000-7000-8000-000000000001',
  revision: 0,
  family: 'fourWheel',
  name: 'Knot',
  hitchMm: null,
  topSpeedKmh: null,
  loadCaseId: aCase.id,
  school: null,
  beadFloorKpa: null,
  roadLoadCaseId: null,
  softOnPurposeAt: null,
  keeperId: null,
  demo: false,
  axles: [
    { ...axle, position: 'front' },
    { ...axle, position: 'rear', behindMm: 2790 },
  ],
  loadCases: [aCase],
};
const anOuting = {
  id: '0192f000-0000-7000-8000-000000000002',
  revision: 0,
  rigId: aRig.id,
  loadCaseId: null,
  groundCode: 'softSand',
  title: '',
  startedAt: '2026-05-02T07:10:00.000Z',
  state: 'planned',
  pressures: [],
  decision: null,
};

describe('fieldProblems', () => {
  it('has nothing to say of a good row', () => {
    expect(problemsOf(rig, aRig)).toEqual([]);
    expect(problemsOf(outing, anOuting)).toEqual([]);
  });

  it('points at a field by its JSON pointer, with the bound', () => {
    const heavy = { ...aRig, axles: [aRig.axles[0], { ...aRig.axles[1], roadKpa: 9000 }] };
    expect(problemsOf(rig, heavy)).toEqual([
      { path: '/axles/1/roadKpa', code: 'too_big', message: expect.any(String), limit: 2000 },
    ]);
  });

  it('points at each field it does not know', () => {
    expect(problemsOf(rig, { ...aRig, a: 1, 'b/c~d': 2 }).map(({ path, code }) => [path, code])).toEqual([
      ['/a', 'unknownField'],
      ['/b~1c~0d', 'unknownField'],
    ]);
  });

  it.each([
    ['not a time', { startedAt: 'yesterday' }, '/startedAt'],
    ['a time without milliseconds', { startedAt: '2026-05-02T07:10:00Z' }, '/startedAt'],
    ['a ground that is none', { groundCode: 'lava' }, '/groundCode'],
    ['a decision without a code', { decision: { note: 'hm' } }, '/decision/code'],
  ])('refuses %s', (_, change, path) => {
    expect(problemsOf(outing, { ...anOuting, ...change }).map((each) => each.path)).toEqual([path]);
  });
});

describe('questionsOf', () => {
  const asked = (change: Partial<Rig>) => questionsOf({ ...(aRig as Rig), ...change });
  const weighing = (loadKg: number) =>
    ({ ...aCase, weighed: [{ ...aCase.weighed[0], loadKg }] }) as Rig['loadCases'][0];

  it('has no question about a common rig', () => expect(asked({})).toEqual([]));

  it.each([
    ['an axle of 116 kg', { loadCases: [weighing(116)] }, '/loadCases/0/weighed/0/loadKg', 'decimal', 1160],
    [
      'pounds for kilograms',
      { loadCases: [weighing(6600)] },
      '/loadCases/0/weighed/0/loadKg',
      'unit',
      6600 * 0.45359237,
    ],
    [
      'a wheelbase of nothing',
      { axles: [aRig.axles[0], { ...aRig.axles[1], behindMm: 0 }] },
      '/axles/1/behindMm',
      null,
      null,
    ],
    [
      'a wheelbase in metres',
      { axles: [aRig.axles[0], { ...aRig.axles[1], behindMm: 2.79 }] },
      '/axles/1/behindMm',
      'unit',
      2790,
    ],
    [
      'a placard in bar',
      { axles: [{ ...aRig.axles[0], roadKpa: 2.5 }, aRig.axles[1]] },
      '/axles/0/roadKpa',
      'unit',
      250,
    ],
  ])('asks about %s, and what was meant', (_, change, path, slip, meant) => {
    expect(asked(change as Partial<Rig>)).toEqual([expect.objectContaining({ path, kind: 'unlikely', slip, meant })]);
  });

  it('asks about a tire that such a rig does not wear', () => {
    const bicycleTire = { ...aRig.axles[0], tireMarking: '29x2.40' };
    expect(asked({ axles: [bicycleTire, aRig.axles[1]] as Rig['axles'] })).toEqual([
      expect.objectContaining({ path: '/axles/0/tireMarking', kind: 'tireUse', use: 'bicycle' }),
    ]);
  });

  it('lets only what hangs on a doubtful load wait', () => {
    const loads = rigLoads(aRig as Rig, { ...aCase, weighed: [weighing(116).weighed[0], aCase.weighed[1]] } as never);
    expect(loads.ok && doubtfulLoads('fourWheel', loads.value).map(({ position }) => position)).toEqual(['front']);
  });
});

describe('openApi', () => {
  it('describes a path for every resource and every calculator, unknown fields refused', () => {
    const { paths, components } = openApi() as {
      paths: Record<string, object>;
      components: { schemas: Record<string, { additionalProperties?: boolean }> };
    };
    for (const { path } of Object.values(RESOURCES)) expect(Object.keys(paths)).toContain(`/${path}/{id}`);
    for (const { name } of CALCULATORS) expect(Object.keys(paths)).toContain(`/calc/${name}`);
    expect(components.schemas.Rigs?.additionalProperties).toBe(false);
  });
});
