import { psi } from '../units/units';
import { referenceWagon } from '../testing/sampleLesson';
import { softestClimbed, softnessAfter, softnessOfRut, USUAL_SOFTNESS } from './ownSoftness';

const rig = referenceWagon();
const both = (pressurePsi: number) => [psi(pressurePsi), psi(pressurePsi)];

describe('softestClimbed', () => {
  it('is softer for softer tires and gentler slopes', () => {
    const at = (pressurePsi: number, slopeDeg: number): number =>
      softestClimbed(rig, both(pressurePsi), slopeDeg, 'drySand', null);
    expect(at(12, 9)).toBeGreaterThan(at(20, 9));
    expect(at(16, 5)).toBeGreaterThan(at(16, 9));
  });
});

describe('softnessOfRut', () => {
  it('is the softer, the deeper the rut', () => {
    const at = (rutM: number): number => softnessOfRut(rig, both(20), rutM, 'sandyLoam', null);
    expect(at(0.1)).toBeGreaterThan(at(0.05));
    // Exact: with n 0.7 the plate's pressure on soil of twice the strength goes in half as deep to the power 1/0.7.
    expect(at(0.04) - at(0.02)).toBeCloseTo(0.7 * Math.LN2, 1);
  });
});

describe('softnessAfter', () => {
  it('leaves what was expected where nothing was seen, or where two can’t both be true', () => {
    const nothing = softnessAfter(USUAL_SOFTNESS, []);
    expect(nothing.shift).toBeCloseTo(0, 6);
    expect(nothing.scatter).toBeCloseTo(USUAL_SOFTNESS.scatter, 3);
    const against = [
      { code: 'climb', shift: -1.4, result: 'reached' },
      { code: 'climb', shift: 1.4, result: 'stopped' },
    ] as const;
    expect(softnessAfter({ shift: 0, scatter: 0.05 }, against)).toEqual({ shift: 0, scatter: 0.05 });
  });

  it('goes firmer for what went up, softer for what stopped, and is surer of what nearly did', () => {
    const after = (result: 'reached' | 'nearly' | 'stopped', shift: number) =>
      softnessAfter(USUAL_SOFTNESS, [{ code: 'climb', shift, result }]);
    expect(after('reached', -0.1).shift).toBeLessThan(-0.05);
    expect(after('stopped', 0.1).shift).toBeGreaterThan(0.05);
    const nearly = after('nearly', 0.2);
    // Exact: two normal distributions multiplied, 0.15 and 0.12 wide.
    expect(nearly.shift).toBeCloseTo(0.2 / 0.12 ** 2 / (1 / 0.12 ** 2 + 1 / 0.15 ** 2), 3);
    expect(nearly.scatter).toBeCloseTo(1 / Math.sqrt(1 / 0.12 ** 2 + 1 / 0.15 ** 2), 3);
  });

  it('counts a rut as a measurement', () => {
    const seen = softnessAfter(USUAL_SOFTNESS, [{ code: 'rut', shift: -0.3 }]);
    expect(seen.shift).toBeCloseTo(-0.3 / 0.2 ** 2 / (1 / 0.2 ** 2 + 1 / 0.15 ** 2), 3);
  });
});
