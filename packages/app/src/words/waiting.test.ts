import { bodyOf, type BodyOf, type Rig } from '@dunlinmoss/contract';
import { mergeRows } from '@dunlinmoss/domain';
import { fullRig } from '@dunlinmoss/domain/testing';

import type { Pending } from '../data/pending';
import { FIRST_UNITS } from '../settings/preferences';
import { calledText, carriedFile, clashText, pendingText, readCarried, valueText, waitingOf } from './waiting';

const rig: Rig = bodyOf('rigs', fullRig({ name: 'Knot' }));
const entry = (change: Partial<Pending> = {}): Pending => ({
  ...{ name: 'rigs', id: rig.id, base: null, sent: [], body: rig, fate: null, revision: 0, sinceMs: 5, stamp: 's' },
  ...change,
});
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

describe('clashText', () => {
  const texts = (mine: Partial<Rig>, theirs: Partial<Rig>): string[] =>
    mergeRows('rigs', rig, { ...rig, ...mine }, { ...rig, ...theirs }).clashes.map((clash) =>
      plain(clashText(clash, { ...rig, ...mine }, FIRST_UNITS)),
    );
  const axles = (change: object): Rig['axles'] => [{ ...rig.axles[0]!, ...change }, ...rig.axles.slice(1)];
  const cases = (change: object): Rig['loadCases'] => [{ ...rig.loadCases[0]!, ...change }, ...rig.loadCases.slice(1)];

  it('says where it is as a person says it, and both values in the person’s units', () => {
    expect(texts({ name: 'Ruff' }, { name: 'Dunlin' })).toEqual(['Name: here Ruff, there Dunlin.']);
    expect(texts({ axles: axles({ roadKpa: 248.21 }) }, { axles: axles({ roadKpa: 227.53 }) })).toEqual([
      'Axle, front, road pressure: here 36 psi, there 33 psi.',
    ]);
    expect(texts({ topSpeedKmh: null }, { topSpeedKmh: 30 })[0]).toMatch(/^Top speed: here nothing, there 30 km\/h\.$/);
    expect(texts({ loadCases: cases({ name: 'A' }) }, { loadCases: cases({ name: 'B' }) })).toEqual([
      'Load case, “A”, name: here A, there B.',
    ]);
  });

  it('has a word for whatever is in a row: no code and no unit’s end shows through', () => {
    const flat = (value: unknown, path: string): [string, unknown][] =>
      typeof value === 'object' && value !== null && !Array.isArray(value)
        ? Object.entries(value).flatMap(([name, each]) => flat(each, `${path}/${name}`))
        : [[path, value]];
    for (const [path, value] of flat({ ...rig, ...rig.axles[0], ...rig.loadCases[0] }, '')) {
      const text = plain(clashText({ path, mine: value, theirs: null }, rig, FIRST_UNITS));
      expect(text).toMatch(/^[A-Z][^{}]*: here .+, there nothing\.$/);
      expect(text.split(':')[0]).not.toMatch(/Kpa|Kmh|[a-z](Mm|Kg)$|[a-z][A-Z]/);
    }
  });

  it('tells yes and no, times, lists and what is filled in', () => {
    const of = (path: string, value: unknown): string => plain(valueText(path, value, FIRST_UNITS));
    expect([of('/demo', true), of('/demo', false), of('/note', '')]).toEqual(['yes', 'no', 'nothing']);
    expect(of('/startedAt', '2026-11-20T08:05:00.000Z')).toMatch(/2026|Nov/);
    expect([of('/lines', [1]), of('/lines', [1, 2])]).toEqual(['one entry', '2 entries']);
    expect(of('/beadHold', 'beadLock')).toBe('bead lock');
  });
});

describe('what waits', () => {
  it('is called by its name, else by its kind and day', () => {
    expect(calledText(entry())).toBe('Knot');
    const outing = { id: 'o', title: '', startedAt: '2026-11-20T08:00:00.000Z' } as unknown as BodyOf<'outings'>;
    expect(calledText({ name: 'outings', base: null, body: outing })).toMatch(/^Outing, .*20/);
    expect(calledText({ name: 'tests', base: null, body: null })).toBe('Test');
  });

  it('says of each what stands in its way', () => {
    const refused = { type: 'x', title: 'Some fields are not as expected', status: 400, code: 'invalid' as const };
    const fields = [{ path: '/topSpeedKmh', code: 'too_big', message: 'x', limit: 80 }];
    expect(plain(pendingText(entry({ refused: { ...refused, fields } }), FIRST_UNITS))).toMatch(
      /^Refused: Some fields are not as expected\. .*80 km\/h/,
    );
    const texts = [
      entry(),
      entry({ fate: 'archive' }),
      entry({ fate: 'erase' }),
      entry({ fate: 'restore', body: null }),
    ];
    expect(new Set(texts.map((each) => pendingText(each, FIRST_UNITS))).size).toBe(4);
  });

  it('is sorted by what a person has to do, the oldest first', () => {
    const clashing = entry({ id: 'b', sinceMs: 2, clashing: { present: null, archived: false } });
    const { all, clashing: asked, refused, oldestMs } = waitingOf({ a: entry({ sinceMs: 9 }), b: clashing });
    expect([all.map(({ sinceMs }) => sinceMs), asked, refused, oldestMs]).toEqual([[2, 9], [clashing], [], 2]);
    expect(waitingOf({}).oldestMs).toBeNull();
  });

  it('goes out as a file and comes in again, without what stood in its way', () => {
    const stuck = entry({ clashing: { present: null, archived: true } });
    const read = readCarried(carriedFile([stuck]));
    expect(read).toEqual({ entries: [entry()] });
  });

  it.each([
    ['not json', 'can’t be read'],
    ['{"format":"else"}', 'no file of waiting entries'],
    ['null', 'can’t be read'],
    ['{"format":"dunlinmoss-waiting","version":2}', 'another version'],
    ['{"format":"dunlinmoss-waiting","version":1}', 'damaged'],
    [
      '{"format":"dunlinmoss-waiting","version":1,"entries":[{"name":"cars","id":"x","sinceMs":1,"body":null}]}',
      'damaged',
    ],
    [
      '{"format":"dunlinmoss-waiting","version":1,"entries":[{"name":"rigs","id":"x","sinceMs":1,"body":{"id":"y"}}]}',
      'damaged',
    ],
  ])('of %s says what is wrong', (text, says) =>
    expect(readCarried(text)).toEqual({ problem: expect.stringContaining(says) }),
  );
});
