import { sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { fileName } from '../components/files';
import { copyOf } from './rigs';

describe('copyOf', () => {
  it('is a new rig with load cases of its own, the same one standing', () => {
    const row = sampleRig({
      loadCases: [sampleCase(), sampleCase({ id: 'second', name: 'Empty' })],
      loadCaseId: 'second',
    });
    const copy = copyOf(row);
    expect(copy).toMatchObject({ revision: 0, name: 'Knot, copy', axles: row.axles });
    expect(copy.id).not.toBe(row.id);
    expect(copy.loadCases.map(({ name }) => name)).toEqual(['Touring', 'Empty']);
    expect(copy.loadCaseId).toBe(copy.loadCases[1]!.id);
    expect(copy.loadCases.map(({ id }) => id)).not.toContain('second');
  });

  it('keeps a name within what a name may have', () => {
    expect(copyOf(sampleRig({ name: 'x'.repeat(60) })).name).toHaveLength(59);
    expect(copyOf(sampleRig({ loadCases: [], loadCaseId: null })).loadCaseId).toBeNull();
  });
});

describe('fileName', () => {
  it.each([
    ['Curlew, loaded wagon', 'Curlew-loaded-wagon.pdf'],
    ['../../etc/passwd', 'etc-passwd.pdf'],
    ['Żuraw № 7', 'Żuraw-7.pdf'],
    ['???', 'dunlinmoss.pdf'],
  ])('%s: %s', (name, file) => expect(fileName(name, 'pdf')).toBe(file));
});
