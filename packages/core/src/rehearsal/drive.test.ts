import { psi } from '../units/units';
import { referenceWagon } from '../testing/sampleLesson';
import { atStart, backsOut, driveOn, freed, placedAt, type DriveOrder, type DriveRun } from './drive';
import { wayOf, type Lie } from './lie';

const order = (pressurePsi: number, change: Partial<DriveOrder> = {}): DriveOrder => ({
  pressuresKpa: [psi(pressurePsi), psi(pressurePsi)],
  pace: 'idle',
  keepsOn: true,
  pushedShare: undefined,
  ...change,
});
/** Flat, then ever steeper: how far a rig comes tells how well it climbs. */
const ramp: Lie = {
  soil: 'drySand',
  depthM: null,
  legs: [
    { lengthM: 6, fromDeg: 0, toDeg: 0, soft: true },
    { lengthM: 30, fromDeg: 0, toDeg: 16, soft: true },
  ],
};
interface Driven extends Partial<DriveOrder> {
  readonly lie?: Lie;
  readonly shift?: number;
  readonly seed?: number;
  readonly wheelLoadKg?: number;
}
function drive(pressurePsi: number, change: Driven = {}): DriveRun {
  const { lie = ramp, shift = 0.1, seed = 0, wheelLoadKg, ...rest } = change;
  const rig = referenceWagon(wheelLoadKg);
  const way = wayOf(lie, { seed, shift, scatter: seed === 0 ? 0 : 0.1 });
  return driveOn(atStart(rig, 5), rig, way, order(pressurePsi, rest))!;
}

describe('driveOn', () => {
  it('ends the same way from the same start on the same place', () => {
    expect(drive(20, { seed: 7 })).toEqual(drive(20, { seed: 7 }));
    expect(drive(20, { seed: 8 }).state.atM).not.toBe(drive(20, { seed: 7 }).state.atM);
  });

  it('never climbs less for softer tires, nor more on softer ground', () => {
    const far = [36, 30, 24, 18, 14, 10].map((pressurePsi) => drive(pressurePsi).state.atM);
    expect([...far].sort((a, b) => a - b)).toEqual(far);
    const soft = [-0.3, -0.1, 0.1, 0.3, 0.5].map((shift) => drive(16, { shift }).state.atM);
    expect([...soft].sort((a, b) => b - a)).toEqual(soft);
  });

  it('sinks deeper under more load, no deeper than its layer', () => {
    const sinks = [450, 600, 750].map((wheelLoadKg) => drive(20, { wheelLoadKg }).sinkM);
    expect([...sinks].sort((a, b) => a - b)).toEqual(sinks);
    const thin: Lie = { ...ramp, soil: 'snow', depthM: 0.1 };
    const run = drive(36, { lie: thin });
    expect(Math.max(...run.frames.flatMap(({ sunkM }) => sunkM))).toBeLessThanOrEqual(0.1 + 1e-9);
  });

  it('digs while it spins and a foot stays down; lifted as soon as it is noticed, hardly at all', () => {
    const kept = drive(36);
    const lifted = drive(36, { keepsOn: false });
    expect(lifted.end).toBe('spins');
    expect(lifted.spunS).toBeLessThan(0.6);
    expect(kept.end).toBe('aground');
    expect(kept.dugM).toBeGreaterThan(5 * lifted.dugM);
  });

  it('stands on its belly once it has dug that far, and then nothing drives it out', () => {
    const { state } = drive(36);
    expect(state.aground).toBe(true);
    const rig = referenceWagon();
    const way = wayOf(ramp, { seed: 0, shift: 0.1, scatter: 0 });
    const softer = driveOn(state, rig, way, order(10))!;
    expect(softer.state.atM - state.atM).toBeLessThan(0.3);
    expect(backsOut(state, rig, way, [psi(36), psi(36)])).toBe(false);
  });

  it('finds a rut half pressed already: the second try over it comes further', () => {
    const rig = referenceWagon();
    const way = wayOf(ramp, { seed: 0, shift: 0.1, scatter: 0 });
    const first = driveOn(atStart(rig, 5), rig, way, order(26, { keepsOn: false }))!;
    const again = driveOn(placedAt(first.state, rig, 5), rig, way, order(26, { keepsOn: false }))!;
    expect(again.state.atM).toBeGreaterThan(first.state.atM + 1);
    expect(backsOut(first.state, rig, way, [psi(26), psi(26)])).toBe(true);
  });

  it('stands lower by nothing on firm ground, and drives off from it', () => {
    const firm: Lie = { soil: 'drySand', depthM: null, legs: [{ lengthM: 10, fromDeg: 0, toDeg: 0, soft: false }] };
    const run = drive(36, { lie: firm });
    expect(run).toMatchObject({ end: 'through', dugM: 0, sinkM: 0, spunS: 0 });
    // 10 m and its own length at walking pace.
    expect(run.state.timeS).toBeGreaterThan(6);
    expect(run.state.timeS).toBeLessThan(12);
  });

  it('gives the machine one driven axle for two where the other only rolls', () => {
    const rig = referenceWagon();
    const rear = { ...rig, axles: rig.axles.map((axle, index) => ({ ...axle, driven: index === 1 })) };
    const way = wayOf(ramp, { seed: 0, shift: -0.2, scatter: 0 });
    const far = (of: typeof rig): number => driveOn(atStart(of, 5), of, way, order(16))!.state.atM;
    expect(far(rear)).toBeLessThan(far(rig) - 2);
  });

  it('polishes the bottom of a layer that it spun through', () => {
    const snow: Lie = { ...ramp, soil: 'snow', depthM: 0.15 };
    const run = drive(36, { lie: snow });
    expect(run.end).toBe('dugIn');
    expect(Math.max(...run.state.slick)).toBeGreaterThan(0.1);
    expect(Math.max(...run.state.slick)).toBeLessThanOrEqual(0.5);
  });

  it('has no answer for a tire that does not carry its load', () => {
    const rig = referenceWagon(5_000);
    const way = wayOf(ramp, { seed: 0, shift: 0, scatter: 0 });
    expect(driveOn(atStart(rig, 5), rig, way, order(3))).toBeNull();
  });

  it('is dug out onto its boards with nothing dug left', () => {
    const rig = referenceWagon();
    const { state } = drive(36);
    expect(freed(state, rig)).toMatchObject({ dugM: [0, 0], aground: false });
    expect(freed(state, rig).atM).toBeGreaterThan(state.atM);
  });
});
