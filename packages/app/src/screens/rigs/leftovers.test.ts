import { psi, readSidewallText } from '@dunlinmoss/core';

import { isAnything, leftoversOf, NOTHING_LEFT, withLeftovers, withoutTexts, withSidewall } from './leftovers';
import { emptyRig } from './rigForm';

const rig = emptyRig('quad');
const read = { ...NOTHING_LEFT, maxKpa: psi(10), lines: [{ pressureKpa: psi(10), loadKg: 200 }] };
const worn = withLeftovers(rig, [0, 1], [read, read]);

describe('what was read on a tire', () => {
  it('goes with it and comes back, on the axles that wear it alone', () => {
    expect(worn.axles.map(leftoversOf)).toEqual([read, read]);
    const bare = withLeftovers(worn, [0], [NOTHING_LEFT]);
    expect(bare.axles.map((axle) => isAnything(leftoversOf(axle)))).toEqual([false, true]);
    expect(withLeftovers(bare, [0], [read])).toEqual(worn);
  });

  it('takes along what was typed into its fields, and nothing else', () => {
    const text = { text: '10', unit: 'psi' };
    const texts = {
      '/axles/0/maxKpa': text,
      '/axles/0/lines/0/loadKg': text,
      '/axles/0/roadKpa': text,
      '/axles/1/maxKpa': text,
    };
    expect(Object.keys(withoutTexts(texts, [0]))).toEqual(['/axles/0/roadKpa', '/axles/1/maxKpa']);
  });

  it('is taken from a whole sidewall', () => {
    const taken = withSidewall(rig, [0], readSidewallText('AT25x8-12 MAX LOAD 440 LBS AT 10 PSI'));
    expect(taken.axles[0]!.tireMarking).toBe('AT25X8-12');
    expect(taken.axles[0]!.lines).toHaveLength(1);
    expect(taken.axles[1]).toEqual(rig.axles[1]);
    expect(withSidewall(rig, [0], readSidewallText('AT25x8-12'))).toBe(rig);
  });
});
