import { rigLoads } from '@dunlinmoss/contract';

import { openForm } from '../../forms/rowForm';
import { sampleAxle, sampleBicycle, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import {
  blankCase,
  loadKey,
  newItem,
  placeMm,
  loadPositionsOf,
  readable,
  unladenPlace,
  weighedBy,
  weighedInParts,
  weighedPlace,
  withMethod,
} from './loadForm';

const rig = sampleRig();
const touring = sampleCase();
const ID = '0192f000-0000-7000-8000-000000000012';

describe('weighedPlace', () => {
  it('reads, changes, adds and takes away the weight of its own part', () => {
    const place = weighedPlace('front', 'left');
    expect(place.read(touring)).toBe(560);
    expect(place.write(touring, 580).weighed[0]).toEqual({ position: 'front', part: 'left', loadKg: 580 });
    expect(place.write(touring, null).weighed).toHaveLength(3);
    expect(weighedPlace('rear', 'axle').write(touring, 1400).weighed.at(-1)).toEqual({
      position: 'rear',
      part: 'axle',
      loadKg: 1400,
    });
    expect(unladenPlace('coupling').write(touring, 60).unladen).toEqual([{ position: 'coupling', loadKg: 60 }]);
  });

  it('is where a refusal of its weight is told, of a part of the rig too', () => {
    expect(loadKey('/weighed/3/loadKg', touring)).toBe('/weighed/rear right');
    expect(loadKey('/loadCases/2/weighed/0/loadKg', touring)).toBe('/weighed/front left');
    expect(loadKey('/posture/riderKg', touring)).toBe('/posture/riderKg');
  });
});

describe('weighedInParts', () => {
  const units = { mass: 'kg' } as const;
  it('leaves out what is no longer asked for, and brings it back with its part', () => {
    const whole = weighedInParts(openForm(touring), 'front', ['axle'], units);
    expect(whole.row.weighed.map(({ position }) => position)).toEqual(['rear', 'rear']);
    const again = weighedInParts(whole, 'front', ['left', 'right'], units);
    expect(weighedPlace('front', 'right').read(again.row)).toBe(570);
    expect(weighedBy(again.row, 'front')).toBe('sides');
  });
});

describe('withMethod', () => {
  it('keeps what was given for the way before, but for a rider of no weight', () => {
    expect(withMethod(touring, 'moments', rig)).toEqual({ ...touring, method: 'moments' });
    const bicycle = sampleBicycle();
    const blank = withMethod(blankCase(ID, bicycle), 'posture', bicycle);
    expect(blank).toMatchObject({ posture: { riderKg: null } });
    expect(withMethod(blank, 'scales', bicycle).posture).toBeNull();
    const ridden = bicycle.loadCases[0]!;
    expect(withMethod(withMethod(ridden, 'scales', bicycle), 'posture', bicycle)).toEqual(ridden);
  });
});

describe('readable', () => {
  it('leaves out what is no number yet: what hangs on it waits', () => {
    const half = readable({
      ...withMethod(blankCase(ID, rig), 'moments', rig),
      unladen: [
        { position: 'front', loadKg: 1090 },
        { position: 'rear', loadKg: Number.NaN },
      ],
      items: [newItem('thing', 'roof', rig)],
    });
    expect(half.unladen).toEqual([{ position: 'front', loadKg: 1090 }]);
    expect(half.items).toEqual([]);
    expect(rigLoads(rig, half)).toMatchObject({ ok: false, problem: { code: 'unladenMissing', position: 'rear' } });
  });

  it('is the whole of what is whole', () => {
    expect(readable(touring)).toEqual(touring);
  });
});

describe('places', () => {
  it('lie by the rig’s own wheelbase', () => {
    expect(placeMm('roof', rig)).toBe(Math.round(0.6 * 2790));
    expect(placeMm('aheadOfFront', rig)).toBeLessThan(0);
  });

  it('are those of the trailer too where there is one', () => {
    expect(loadPositionsOf(rig)).not.toContain('trailerMiddle');
    const towing = sampleRig({ axles: [...rig.axles, sampleAxle('trailer', { behindMm: 3000 })] });
    expect(loadPositionsOf(towing)).toContain('trailerMiddle');
    expect(placeMm('trailerMiddle', towing)).toBe(2850);
    expect(newItem('thing', 'trailerMiddle', towing).body).toBe('trailer');
  });
});
