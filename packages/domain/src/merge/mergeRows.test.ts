import { bodyOf, RESOURCES, type BodyOf, type Outing, type Rig } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import fc from 'fast-check';

import { fullRig, sampleCase } from '../testing/sampleRig';
import { alike, mergeRows } from './mergeRows';

const base: Rig = bodyOf('rigs', {
  ...fullRig(),
  loadCases: [sampleCase({ id: 'a', name: 'Empty' }), sampleCase({ id: 'b', name: 'Full' })],
});
const merged = (mine: Rig, theirs: Rig, prefer?: 'mine' | 'theirs') =>
  mergeRows('rigs', base, mine, { ...theirs, revision: 9 }, prefer);
const withCase = (id: string, change: object, rig = base): Rig => ({
  ...rig,
  loadCases: rig.loadCases.map((each) => (each.id === id ? { ...each, ...change } : each)),
});
const withAxle = (index: number, change: object, rig = base): Rig => ({
  ...rig,
  axles: rig.axles.map((axle, at) => (at === index ? { ...axle, ...change } : axle)),
});

describe('mergeRows', () => {
  it('keeps a weighing that somebody else’s new name would have overwritten', () => {
    const weighed = [{ position: 'front' as const, part: 'axle' as const, loadKg: 1234 }];
    const { body, clashes } = merged(withCase('b', { weighed }), {
      ...withCase('a', { name: 'Light' }),
      name: 'Knot 2',
    });
    expect(clashes).toEqual([]);
    expect(body).toMatchObject({ name: 'Knot 2', revision: 9 });
    expect(body.loadCases).toEqual([
      { ...base.loadCases[0], name: 'Light' },
      { ...base.loadCases[1], weighed },
    ]);
  });

  it('puts axles together field by field', () => {
    const { body, clashes } = merged(
      withAxle(0, { roadKpa: 250 }),
      withAxle(0, { minKpa: 90 }, withAxle(1, { tube: 'tube' })),
    );
    expect(clashes).toEqual([]);
    expect(body.axles[0]).toEqual({ ...base.axles[0], roadKpa: 250, minKpa: 90 });
    expect(body.axles[1]).toMatchObject({ tube: 'tube' });
  });

  it('asks only where both changed the same field to something else, and goes by whoever is preferred', () => {
    const [mine, theirs] = [withAxle(0, { roadKpa: 250, minKpa: 80 }), withAxle(0, { roadKpa: 230 })];
    const asked = merged(mine, theirs);
    expect(asked.clashes).toEqual([{ path: `/axles/${base.axles[0]!.position}/roadKpa`, mine: 250, theirs: 230 }]);
    expect(asked.body.axles[0]).toMatchObject({ roadKpa: 250, minKpa: 80 });
    expect(merged(mine, theirs, 'theirs').body.axles[0]).toMatchObject({ roadKpa: 230, minKpa: 80 });
    expect(merged(mine, withAxle(0, { roadKpa: 250 })).clashes).toEqual([]);
  });

  it('takes away what one took away and the other left as it was; else asks', () => {
    const without = { ...base, loadCases: base.loadCases.slice(1), loadCaseId: 'b' };
    expect(merged(without, { ...base, name: 'Other' }).body.loadCases.map(({ id }) => id)).toEqual(['b']);
    expect(merged({ ...base, name: 'Other' }, without).body.loadCases.map(({ id }) => id)).toEqual(['b']);
    expect(merged(without, withCase('a', { name: 'Light' })).clashes).toMatchObject([{ path: '/loadCases/a' }]);
    const more = { ...base, loadCases: [...base.loadCases, sampleCase({ id: 'c', name: 'Half' })] };
    const others = { ...base, loadCases: [...base.loadCases, sampleCase({ id: 'd', name: 'Tent' })] };
    expect(
      merged(more, others)
        .body.loadCases.map(({ id }) => id)
        .sort(),
    ).toEqual(['a', 'b', 'c', 'd']);
  });

  it('of two times at which something was last done takes the later', () => {
    const outing = { id: 'o', revision: 1, state: 'lowered', pressures: [], pressuresAt: null } as unknown as Outing;
    const set = (kpa: number, pressuresAt: string): Outing =>
      ({ ...outing, pressures: [{ position: kpa > 115 ? 'rear' : 'front', pressureKpa: kpa }], pressuresAt }) as Outing;
    const { body, clashes } = mergeRows(
      'outings',
      outing,
      set(psi(16), '2026-11-20T08:00:00.000Z'),
      set(psi(18), '2026-11-20T08:05:00.000Z'),
    );
    expect(clashes).toEqual([]);
    expect(body.pressures).toHaveLength(2);
    expect(body.pressuresAt).toBe('2026-11-20T08:05:00.000Z');
  });

  it('asks for everything in which they differ where nobody knows what both began with', () => {
    const { clashes } = mergeRows('rigs', null, base, { ...base, name: 'Other', revision: 4 });
    expect(clashes).toEqual([{ path: '/name', mine: base.name, theirs: 'Other' }]);
  });

  it('does not ask about what came from here itself, its answer lost on the way', () => {
    const sent = withCase('b', { name: 'Sent' }, withAxle(0, { roadKpa: 250 }));
    const now = withCase('b', { name: 'Since' }, withAxle(0, { roadKpa: 260 }));
    const there = { ...sent, revision: 9, name: 'Theirs' };
    const { body, clashes } = mergeRows('rigs', base, now, there, 'mine', [sent]);
    expect(clashes).toEqual([]);
    expect(body).toEqual({ ...now, name: 'Theirs', revision: 9 });
    expect(mergeRows('rigs', base, now, there).clashes).toHaveLength(2);
  });

  /** Some fields of a rig changed, by chance. */
  const change = fc.record(
    {
      name: fc.constantFrom('Knot', 'Ruff', 'Dunlin'),
      topSpeedKmh: fc.constantFrom(20, 30, null),
      roadKpa: fc.constantFrom(200, 220),
      minKpa: fc.constantFrom(80, null),
      caseName: fc.constantFrom('Half', 'Third'),
    },
    { requiredKeys: [] },
  );
  const changed = ({ roadKpa, minKpa, caseName, ...own }: Partial<Record<string, unknown>>): Rig => {
    const axle = { ...(roadKpa !== undefined && { roadKpa }), ...(minKpa !== undefined && { minKpa }) };
    const rig = withAxle(1, axle, { ...base, ...own });
    return caseName === undefined ? rig : withCase('b', { name: caseName }, rig);
  };

  it('law: alone one’s change is all there is; both ways come to the same but for clashes; nothing is lost', () => {
    fc.assert(
      fc.property(change, change, (a, b) => {
        const [mine, theirs] = [changed(a), changed(b)];
        expect(merged(mine, base).body).toEqual({ ...mine, revision: 9 });
        expect(merged(base, theirs).body).toEqual({ ...theirs, revision: 9 });
        expect(merged(mine, mine).clashes).toEqual([]);
        const [one, other] = [merged(mine, theirs), merged(theirs, mine, 'theirs')];
        expect(one.body).toEqual(other.body);
        expect(one.clashes.map(({ path }) => path)).toEqual(other.clashes.map(({ path }) => path));
        // A clash is where both changed the same field, and nowhere else.
        const fields = Object.keys(a).filter((key) => key in b && !alike(a[key as 'name'], b[key as 'name']));
        expect(one.clashes.length).toBeLessThanOrEqual(fields.length);
        // Whoever asks again gets the same.
        expect(mergeRows('rigs', base, one.body, { ...theirs, revision: 9 }).body).toEqual(one.body);
      }),
      { seed: 1601, numRuns: 300 },
    );
  });

  it('law: what is put together of two sound rows is a sound row', () => {
    fc.assert(
      fc.property(change, change, (a, b) => {
        const { body } = merged(changed(a), changed(b));
        const ids = (rig: Rig): BodyOf<'rigs'> => ({
          ...rig,
          id: '0192f000-0000-7000-8000-000000000001',
          loadCaseId: null,
          loadCases: [],
        });
        expect(RESOURCES.rigs.body.safeParse(ids(body)).success).toBe(RESOURCES.rigs.body.safeParse(ids(base)).success);
      }),
      { seed: 1602, numRuns: 100 },
    );
  });
});
