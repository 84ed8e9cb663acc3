import { FIRST_UNITS } from '../settings/preferences';
import { sampleJob } from '../testing/sampleJob';
import { changesText } from './history';

describe('changesText', () => {
  const before = sampleJob().rig;
  const told = (change: object): string[] =>
    changesText(before, { ...before, revision: before.revision + 1, ...change }, FIRST_UNITS);

  it('says nothing of what is as it was', () => expect(told({})).toEqual([]));

  it('names the place and both values, in the person’s unit', () => {
    const axles = before.axles.map((axle, index) => (index === 0 ? { ...axle, roadKpa: 206.84 } : axle));
    expect(told({ axles })).toEqual([expect.stringMatching(/^Axle, front, road pressure: 30\spsi, was \d+\spsi$/)]);
  });

  it('tells also what was filled in and what was taken away', () => {
    const [filled] = told({ softOnPurposeAt: '2026-11-01T10:00:00.000Z' });
    expect(filled).toMatch(/^Soft on purpose: .+, was nothing$/);
    expect(told({ name: 'Ruff' })).toEqual([`Name: Ruff, was ${before.name}`]);
    const gone = before.loadCases[0]!;
    expect(told({ loadCases: before.loadCases.slice(1) })).toEqual([
      `Load case, “${gone.name}”: nothing, was ${gone.name}`,
    ]);
  });
});
