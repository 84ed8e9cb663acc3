import { CALCULATORS, openApi } from './api';
import { fieldProblems, RESOURCES } from './index';
import { outing } from './resources/outing';
import { rig } from './resources/rig';

const problemsOf = (
  schema: { safeParse: (value: unknown) => { success: boolean; error?: unknown } },
  value: unknown,
) => {
  const checked = schema.safeParse(value);
  return checked.success ? [] : fieldProblems(checked.error as never);
};
const axle = {
  tireMarking: '265/65R17',
  loadRange: 'standard',
  placardKpa: 240,
  loadsFrom: 'axle',
  leftLoadKg: 600,
  rightLoadKg: 600,
};
const aRig = {
  id: '0192f000-0000-7000-8000-000000000001',
  revision: 0,
  family: 'fourWheel',
  name: 'Knot',
  beadLocks: false,
  axles: [
    { ...axle, position: 'front' },
    { ...axle, position: 'rear' },
  ],
};
const anOuting = {
  id: '0192f000-0000-7000-8000-000000000002',
  revision: 0,
  rigId: aRig.id,
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
    const heavy = { ...aRig, axles: [aRig.axles[0], { ...aRig.axles[1], leftLoadKg: 9000 }] };
    expect(problemsOf(rig, heavy)).toEqual([
      { path: '/axles/1/leftLoadKg', code: 'too_big', message: expect.any(String), limit: 3000 },
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
