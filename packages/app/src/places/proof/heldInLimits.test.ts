import { psi, type Judgement } from '@dunlinmoss/core';

import { sampleAxle, sampleRig } from '../../testing/sampleRig';
import { heldInLimits } from './heldInLimits';

const judged = (tryKpa: number | null): Judgement => ({
  verdict: 'x',
  move: 'softer',
  stepKpa: null,
  tryKpa,
  sure: null,
  figures: {},
  levels: [],
  runs: [],
  contradictions: [],
});
const rig = (change: object = {}, own: number | null = null) =>
  sampleRig({
    beadFloorKpa: own,
    axles: [{ ...sampleAxle('front'), beadHold: 'none', minKpa: null, maxKpa: 300, ...change }],
  });

describe('heldInLimits', () => {
  // 12 psi without bead locks and 6 with them. Common practice, no source.
  it.each([
    ['the bead', {}, null, psi(8), psi(12), 'floor'],
    ['a bead that is locked', { beadHold: 'beadLock' }, null, psi(5), psi(6), 'floor'],
    ['one’s own lowest', {}, psi(16), psi(14), psi(16), 'floor'],
    ['the sidewall’s minimum', { minKpa: psi(20) }, null, psi(14), psi(20), 'floor'],
    ['the sidewall’s maximum', {}, null, 320, 300, 'sidewall'],
    ['nothing', {}, null, psi(18), psi(18), null],
  ] as const)('holds at %s', (_, change, own, wanted, tried, heldAt) => {
    const held = heldInLimits(judged(wanted), rig(change, own), 'front');
    expect(held.judgement.tryKpa).toBeCloseTo(tried, 9);
    expect(held.heldAt).toBe(heldAt);
  });

  it('leaves alone what says no pressure', () => {
    expect(heldInLimits(judged(null), rig(), 'front')).toEqual({ judgement: judged(null), heldAt: null });
  });
});
