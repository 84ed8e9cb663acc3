import { sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import type { PlanInput, Remark } from './plan';
import { planGround } from './planGround';

const remarks = (change: Partial<PlanInput>): readonly Remark[] => {
  const plan = planGround(sampleInput(change));
  if (!plan.ok) throw new Error(JSON.stringify(plan.problem));
  return plan.value.axles[0]!.remarks;
};
const codes = (change: Partial<PlanInput>): readonly string[] => remarks(change).map(({ code }) => code);
const TALL = { marking: '35x12.50R17LT', loadRange: 'E', loadKg: 550, roadKpa: psi(35) } as const;

describe('what stands beside a number', () => {
  it('is nothing on the reference rig itself', () => {
    for (const ground of ['rockyTrack', 'forestMud', 'softSand'] as const) expect(codes({ ground })).toEqual([]);
    // Common practice, no source: 24 to 26 is run there as well as 28 to 30.
    expect(codes({ ground: 'gravel' })).toEqual(['softerOnCorrugations']);
  });

  it('names all grounds that end on one floor, this one among them', () => {
    const [first] = remarks({ ground: 'softSand', axles: [sampleAxle(TALL)] });
    expect(first).toEqual({
      code: 'groundsOnFloor',
      floor: 'bead',
      grounds: ['rockCrawl', 'dampSand', 'softSand', 'verySoftSand'],
    });
  });

  it('says that schools differ by more than half of the number, and between which', () => {
    const apart = remarks({ ground: 'gravel', axles: [sampleAxle(TALL)] }).find(({ code }) => code === 'schoolsApart');
    expect(apart).toMatchObject({ softest: 'equalDeflection', firmest: 'fixedTable' });
  });

  it('says how much less a stiff carcass gains', () => {
    const gain = remarks({ ground: 'softSand', axles: [sampleAxle({ loadRange: 'E' })] }).find(
      ({ code }) => code === 'gainsLess',
    );
    expect(gain).toMatchObject({ lessShare: expect.any(Number) });
    expect(codes({ ground: 'softSand', axles: [sampleAxle({ loadRange: 'standard' })] })).not.toContain('gainsLess');
  });

  it('calls the bend of a farm tire that can’t be right by its name', () => {
    const spreader = (loadKg: number): Partial<PlanInput> => ({
      family: 'tractor',
      ground: 'pavement',
      roadSpeedKmh: 40,
      axles: [sampleAxle({ marking: '480/80R50', loadKg, roadKpa: 60 })],
    });
    expect(codes(spreader(6000))).toEqual(['bendUnlikely', 'ratingUnread']);
    expect(codes(spreader(1200))).toEqual(['ratingUnread']);
  });

  it('says that a road pressure is too low for the load, by what was read of the tire', () => {
    const lines = [{ pressureKpa: 240, loadKg: 4375 }];
    const road = (roadKpa: number): Partial<PlanInput> => ({
      family: 'tractor',
      ground: 'pavement',
      roadSpeedKmh: 40,
      axles: [sampleAxle({ marking: '480/80R50 159A8', loadKg: 3500, roadKpa, lines })],
    });
    expect(codes(road(120))).toEqual(['roadTooLow']);
    expect(codes(road(200))).toEqual([]);
  });
});
