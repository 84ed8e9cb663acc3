import { rigLoads, type LoadCaseBody } from '@dunlinmoss/contract';

import { fullRig, sampleCase, sampleRig } from '../testing/sampleRig';
import { tankLevel, withTankLevel } from './tankLevel';

const weighed = sampleCase({
  method: 'fullAndEmpty',
  unladen: [
    { position: 'front', loadKg: 900 },
    { position: 'rear', loadKg: 700 },
  ],
});
const tank = (liters: number, level: number): LoadCaseBody['items'][number] => ({
  kind: 'tank',
  name: '',
  body: 'vehicle',
  behindMm: 1000,
  rightMm: null,
  liters,
  densityKgPerL: 1,
  level,
});
const thing = { ...tank(0, 0), kind: 'thing', massKg: 12 } as never;

describe('tankLevel', () => {
  it.each([
    ['weighed full and empty, full until it is said otherwise', weighed, 1],
    ['at a level of its own', { ...weighed, level: 0.4 }, 0.4],
    ['of two tanks by what they hold', sampleCase({ method: 'moments', items: [tank(300, 1), tank(100, 0)] }), 0.75],
    ['of things alone', sampleCase({ method: 'moments', items: [thing] }), null],
    ['weighed as it stands, tanks or not', sampleCase({ items: [tank(300, 1)] }), null],
  ] as const)('is that of a case %s', (_, loadCase, level) => expect(tankLevel(loadCase)).toBe(level));
});

describe('withTankLevel', () => {
  it.each([weighed, sampleCase({ method: 'moments', items: [tank(300, 1), thing, tank(100, 0)] })])(
    'is as full as it was set, and changes nothing else',
    (loadCase) => {
      for (const level of [0, 0.35, 1]) {
        const set = withTankLevel(loadCase, level);
        expect(tankLevel(set)).toBeCloseTo(level, 12);
        expect(withTankLevel(set, 1)).toEqual(withTankLevel(loadCase, 1));
      }
    },
  );

  it('keeps every optional field of a case', () => {
    const [full] = fullRig().loadCases;
    expect({ ...withTankLevel(full!, 0.5), items: [] }).toEqual({ ...full, items: [] });
  });

  it('moves the load from empty to full in a straight line', () => {
    const at = (level: number): number => {
      const loads = rigLoads(sampleRig(), withTankLevel(weighed, level));
      if (!loads.ok) throw new Error(loads.problem.code);
      return loads.value.axles[1]!.loadKg;
    };
    expect([at(0), at(0.5), at(1)]).toEqual([700, 1045, 1390]);
  });
});
