import { lowestRiddenKpa } from '../limits/lowestRidden';
import { bicycleAxles, SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { inch, psi } from '../units/units';
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

  it('goes on a bicycle to the lowest that its tire can be ridden on, and no further', () => {
    const axles = bicycleAxles('29x2.40', 60, 0.4);
    const { rungs } = ladder({ family: 'mountainBike', axles, ground: 'softSand', riderKg: 46 });
    const lowest = lowestRiddenKpa(inch(2.4), 'medium', null);
    expect(rungs).toHaveLength(1);
    expect(rungs[0]!.pressures.map(({ pressureKpa }) => pressureKpa)).toEqual([lowest, lowest]);
  });

  it('goes on a farm tire to what its load asks for at walking pace', () => {
    const farm = { family: 'tractor', ground: 'fieldWet', roadSpeedKmh: 40 } as const;
    const unread = sampleAxle({ marking: '480/80R50', loadKg: 2500, roadKpa: psi(23) });
    expect(inPsi(ladder({ ...farm, axles: [unread] }))).toEqual([13, 15]);
  });

  it('has no rung where the ground is at the last already', () => {
    const farm = ladder({ ...SAMPLE_RIGS.farm!, ground: 'fieldWet' });
    expect(farm.rungs).toEqual([]);
    expect(farm.back).toHaveLength(1);
    const fat = ladder({ family: 'fatBike', axles: bicycleAxles('26x4.8', 60, 0.4), ground: 'softSand', riderKg: 46 });
    expect(fat.rungs).toEqual([]);
  });

  it('is none for a rig that nobody takes to that ground', () => {
    expect(stuckLadder(sampleInput({ ...SAMPLE_RIGS.bicycle!, ground: 'fieldWet' }))).toMatchObject({
      ok: false,
      problem: { code: 'otherGround' },
    });
  });
});
