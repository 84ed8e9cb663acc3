import { psi } from '@dunlinmoss/core';

import { sampleAxle, sampleBicycle, sampleRig } from '../testing/sampleRig';
import { deflatorsToday, valveMisfits } from './kit';

const set = (setPsi: number | null, kind: 'presetDeflators' | 'coreDeflator' = 'presetDeflators') => ({
  kind,
  setKpa: setPsi === null ? null : psi(setPsi),
});
const wheels = (from: number | undefined, target: number) =>
  (['front', 'front', 'rear'] as const).map((position) => ({
    position,
    fromKpa: from === undefined ? undefined : psi(from),
    targetKpa: psi(target),
  }));
const codes = (...args: Parameters<typeof deflatorsToday>) => deflatorsToday(...args).map(({ code }) => code);

describe('deflatorsToday', () => {
  it.each([
    ['set to 20 where 12 is planned', set(20), wheels(36, 12), ['above', 'above']],
    ['set below the plan', set(10), wheels(36, 12), ['below', 'below']],
    ['set as planned, to half a step', set(12.4), wheels(36, 12), []],
    ['set above all that is in the tires', set(40), wheels(36, 12), ['nothing', 'nothing']],
    ['set above road pressure, and nobody knows what is in them', set(40), wheels(undefined, 12), ['above', 'above']],
    ['nobody knows to what', set(null), wheels(36, 12), []],
    ['of another kind', set(20, 'coreDeflator'), wheels(36, 12), []],
  ])('%s', (_, tool, of, expected) => expect(codes(tool, of, psi(1))).toEqual(expected));

  it('is told once an axle, each against its own plan', () => {
    const [front, , rear] = wheels(36, 12);
    const told = deflatorsToday(set(14), [front!, { ...rear!, targetKpa: psi(16) }], psi(1));
    expect(told.map(({ position, code }) => [position, code])).toEqual([
      ['front', 'above'],
      ['rear', 'below'],
    ]);
  });
});

describe('valveMisfits', () => {
  const bicycle = sampleBicycle();

  it('goes by what was looked at, else by what is usual, and says which', () => {
    expect(valveMisfits({ valves: ['schrader'] }, bicycle)).toEqual([
      { position: 'front', valve: 'presta', assumed: true },
      { position: 'rear', valve: 'presta', assumed: true },
    ]);
    const read = sampleRig({ axles: [sampleAxle('front', { valve: 'largeBore' }), sampleAxle('rear')] });
    expect(valveMisfits({ valves: ['schrader', 'presta'] }, read)).toEqual([
      { position: 'front', valve: 'largeBore', assumed: false },
    ]);
  });

  it('says nothing of a tool of which nobody said what it fits', () => {
    expect(valveMisfits({ valves: [] }, bicycle)).toEqual([]);
    expect(valveMisfits(undefined, bicycle)).toEqual([]);
  });
});
