import { FAMILIES } from './registry';
import { splitLoads, USUAL_RIGS, usualRigOf } from './usualRigs';

describe('usualRigOf', () => {
  it('has one for every family but the farm’s, which differ too much', () => {
    for (const { code, kind } of FAMILIES) expect(usualRigOf(code, null) === null).toBe(kind === 'farm');
  });

  it('takes the one that is named where it is of the family, else the first', () => {
    expect(usualRigOf('fourWheel', 'heavyPickup')!.totalKg).toBe(3200);
    expect(usualRigOf('fourWheel', 'van')!.code).toBe('wagon');
  });
});

describe('splitLoads', () => {
  it('gives all of the whole away, on any number of axles and wheels', () => {
    for (const rig of USUAL_RIGS) {
      for (const wheels of [
        [2, 2],
        [2, 4],
        [1, 1],
        [2, 2, 2],
      ]) {
        const loads = splitLoads(rig, 1000, 'loaded', wheels);
        expect(loads.reduce((sum, kg, axle) => sum + kg * wheels[axle]!, 0)).toBeCloseTo(1000, 9);
      }
    }
  });
});
