import { atStart, driveOn, psi, wayOf, type DriveRun, type Lie, type Pace } from '../src/index';
import { SOFT_SAND_SHIFT } from '../src/rehearsal/softSand';
import { referenceWagon } from '../src/testing/sampleLesson';

/*
 * The reference wagon, driven on soft sand without a run-up, against the points of the trade. Common practice, no source:
 * on one soft rise 36 psi stops at once, 26 nearly gets up, 16 goes up with ease; one big climb goes at 9 at idle, where
 * the other school takes 20 and a run-up; on the flat 40 digs in and 15 drives away.
 */

const FOOT_M = 5;
const rise = (topDeg: number, lengthM: number): Lie => ({
  soil: 'drySand',
  depthM: null,
  legs: [
    { lengthM: FOOT_M, fromDeg: 0, toDeg: 0, soft: true },
    { lengthM: 0.8 * lengthM, fromDeg: 0.2 * topDeg, toDeg: topDeg, soft: true },
    { lengthM: 0.2 * lengthM, fromDeg: topDeg, toDeg: topDeg, soft: true },
  ],
});
const FLAT: Lie = { soil: 'drySand', depthM: null, legs: [{ lengthM: 20, fromDeg: 0, toDeg: 0, soft: true }] };
const SOFT_RISE_M = 12;
const BIG_M = 25;

interface Driven {
  readonly pace?: Pace;
  readonly speedMs?: number;
  readonly seed?: number;
  readonly scatter?: number;
  readonly shift?: number;
}
const rig = referenceWagon();
function drive(lie: Lie, pressurePsi: number, change: Driven = {}): DriveRun {
  const { pace = 'idle', speedMs = 0, seed = 0, scatter = 0, shift = SOFT_SAND_SHIFT } = change;
  const kpa = psi(pressurePsi);
  const order = { pressuresKpa: [kpa, kpa], pace, keepsOn: true, pushedShare: undefined };
  return driveOn(atStart(rig, FOOT_M, speedMs), rig, wayOf(lie, { seed, shift, scatter }), order)!;
}
/** How far onto a rise the first wheels came, as a share of it. */
const share = ({ state }: DriveRun, lengthM: number): number => (state.atM - FOOT_M) / lengthM;

describe('the reference wagon on a soft rise of 9°, at idle, without a run-up', () => {
  it('stops at once at 36 psi', () => {
    const run = drive(rise(9, SOFT_RISE_M), 36);
    expect(run.end).not.toBe('through');
    expect(share(run, SOFT_RISE_M)).toBeLessThan(0.25);
  });

  it('nearly gets up at 26', () => {
    const run = drive(rise(9, SOFT_RISE_M), 26);
    expect(run.end).not.toBe('through');
    expect(share(run, SOFT_RISE_M)).toBeGreaterThan(0.7);
  });

  it('goes up at 16 with ease', () => {
    const run = drive(rise(9, SOFT_RISE_M), 16);
    expect(run.end).toBe('through');
    expect(run.spunS).toBeLessThan(0.1);
    expect(run.dugM).toBeLessThan(0.01);
  });

  it('keeps that order, softer never the worse, on 300 draws of softness', () => {
    const PRESSURES = [36, 26, 16, 12];
    const wrong: string[] = [];
    for (let seed = 1; seed <= 300; seed++) {
      const runs = PRESSURES.map((pressurePsi) =>
        drive(rise(9, SOFT_RISE_M), pressurePsi, { seed, scatter: 0.1, shift: SOFT_SAND_SHIFT + 0.002 * (seed - 150) }),
      );
      runs.slice(1).forEach((run, index) => {
        const before = runs[index]!;
        const further = run.end === 'through' || (before.end !== 'through' && run.state.atM >= before.state.atM - 0.05);
        if (!further)
          wrong.push(`seed ${seed}: ${PRESSURES[index + 1]} psi ${run.state.atM} before ${before.state.atM}`);
      });
    }
    expect(wrong).toEqual([]);
  });
});

describe('the two schools of the one big climb', () => {
  it('goes at 9 psi at idle; 20 stops at idle, and goes with a run-up', () => {
    const big = rise(12, BIG_M);
    expect(drive(big, 9).end).toBe('through');
    expect(drive(big, 20).end).not.toBe('through');
    expect(drive(big, 20, { pace: 'runUp', speedMs: 8.3 }).end).toBe('through');
  });
});

describe('driving off on the flat', () => {
  it('digs in at 40 psi and drives away at 15', () => {
    const dug = drive(FLAT, 40, { pace: 'steady' });
    expect(dug.end).not.toBe('through');
    expect(dug.state.atM - FOOT_M).toBeLessThan(1);
    expect(dug.dugM).toBeGreaterThan(0.1);
    expect(drive(FLAT, 15, { pace: 'steady' }).end).toBe('through');
  });
});
