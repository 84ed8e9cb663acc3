import { SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import type { PlanInput } from './plan';
import { stuckLadder, type StuckLadder } from './stuckLadder';

const ladder = (change: Partial<PlanInput> = {}): StuckLadder => {
  const result = stuckLadder(sampleInput(change));
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};
const inPsi = ({ rungs, back }: StuckLadder) =>
  [...rungs.map(({ pressures }) => pressures), back].map(([front]) => Math.round(front!.pressureKpa / psi(1)));

describe('stuckLadder', () => {
  it('goes by the trade’s 8 and 6 on the reference rig, and back to what the ground asks for', () => {
    expect(inPsi(ladder())).toEqual([8, 6, 16]);
    expect(ladder().rungs.every(({ speedKmh }) => speedKmh === 5)).toBe(true);
  });

  it('has one rung where the last comes at once', () => {
    const { family, axles } = SAMPLE_RIGS.motorcycle!;
    expect(inPsi(ladder({ family, axles: axles.slice(0, 1), ground: 'softSand' }))).toEqual([10, 13]);
  });

  it('is a way down for every axle, never above the ground’s own pressure', () => {
    for (const loadKg of [250, 500, 800]) {
      const { rungs, back } = ladder({ axles: [sampleAxle({ loadKg, roadKpa: psi(50) })] });
      const kpas = [back, ...rungs.map(({ pressures }) => pressures)].map(([front]) => front!.pressureKpa);
      expect([...kpas].sort((a, b) => b - a)).toEqual(kpas);
    }
  });

  it('is none for a rig that nobody takes there', () => {
    expect(stuckLadder(sampleInput({ ...SAMPLE_RIGS.bicycle!, ground: 'mud' }))).toMatchObject({
      ok: false,
      problem: { code: 'otherGround' },
    });
  });
});
