import { SAMPLE_RIGS, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { speedLadder } from './speedLadder';

describe('speedLadder', () => {
  it('falls with the speed, for every kind of rig that has a guide, and never below the bead', () => {
    for (const [kind, rig] of Object.entries(SAMPLE_RIGS)) {
      if (kind === 'bicycle') continue;
      const ground = ({ farm: 'fieldMoist', motorcycle: 'dirtRoad' } as const)[kind] ?? 'gravel';
      const rungs = speedLadder(sampleInput({ ...rig, ground }));
      rungs.forEach(({ speedKmh, axles }, index) => {
        const before = rungs[index - 1];
        if (before) expect(speedKmh).toBeLessThan(before.speedKmh);
        axles.forEach(({ leastKpa }, axle) => {
          expect(leastKpa).toBeGreaterThan(0);
          if (before) expect(leastKpa).toBeLessThanOrEqual(before.axles[axle]!.leastKpa + 1e-9);
        });
      });
    }
  });

  it('is the trade’s pairs on the reference rig, a fifth lower off pavement, down to the bead', () => {
    const rungs = speedLadder(sampleInput());
    const at = (speedKmh: number) => rungs.find((rung) => rung.speedKmh === speedKmh)?.axles[0]!.leastKpa;
    expect(at(80)! / psi(1)).toBeCloseTo(28 * 0.8, 1);
    expect(at(40)! / psi(1)).toBeCloseTo(20 * 0.8, 1);
    expect(rungs.at(-1)!.axles[0]!.leastKpa).toBeCloseTo(psi(12), 6);
  });

  it('has nothing to say of a bicycle', () => {
    expect(speedLadder(sampleInput({ ...SAMPLE_RIGS.bicycle!, ground: 'hardpack' }))).toEqual([]);
  });
});
