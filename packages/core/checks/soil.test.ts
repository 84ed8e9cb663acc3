import {
  compactionResistanceKn,
  groundAnswerKpa,
  psi,
  REFERENCE_RIG,
  sinkageM,
  soilOf,
  SOILS,
  thrustKn,
  wheelOnSoil,
  type WheelOnSoil,
} from '../src/index';

const wheelAt = (pressurePsi: number): WheelOnSoil => {
  const wheel = wheelOnSoil(soilOf('drySand'), REFERENCE_RIG.build, REFERENCE_RIG.loadKg, psi(pressurePsi));
  if (!wheel.ok) throw new Error(wheel.problem.code);
  return wheel.value;
};

describe('the reference rig on dry sand', () => {
  // A fact of the trade: on one soft rise 36 psi fails at once, 26 nearly gets there, 16 goes up with ease. Common practice, no source.
  it.each([
    [36, 'can’t move on the level', (deg: number) => deg < -1],
    [26, 'nearly', (deg: number) => Math.abs(deg) < 1],
    [16, 'climbs about 6°', (deg: number) => deg > 5 && deg < 7],
  ] as const)('%d psi: %s', (pressurePsi, _, fits) => {
    expect(fits(wheelAt(pressurePsi).climbsDeg)).toBe(true);
  });

  it('gains more by less resistance than by more thrust: 1.1 and 0.3 kN a wheel, by the plate alone', () => {
    const sand = soilOf('drySand');
    const resistance = (pressurePsi: number): number =>
      compactionResistanceKn(sand, 0.2, sinkageM(sand, 0.2, wheelAt(pressurePsi).groundPressureKpa));
    expect(resistance(36) - resistance(16)).toBeCloseTo(1.1, 1);
    expect(wheelAt(16).thrustKn - wheelAt(36).thrustKn).toBeCloseTo(0.3, 1);
  });

  it('sinks no deeper than a rigid wheel of its size', () => {
    // Published: Bekker (from memory), worked by hand: (3·5.884 / (0.19875·1532.98·1.9·√0.7763))^(2/3.2) = 0.122 m.
    expect(wheelAt(60).sinkageMm).toBeCloseTo(122, -1);
    for (const pressurePsi of [36, 50, 60])
      expect(wheelAt(pressurePsi).sinkageMm).toBeCloseTo(wheelAt(60).sinkageMm, 6);
  });
});

describe('where there is no figure', () => {
  it('says that a wheel sinks in, past a third of its diameter', () => {
    const heavy = wheelOnSoil(soilOf('snow'), REFERENCE_RIG.build, 1000, psi(36), 2);
    expect(heavy).toMatchObject({ ok: false, problem: { code: 'sinksIn' } });
  });

  it('asks how deep the snow is, and goes no deeper', () => {
    const snow = soilOf('snow');
    expect(wheelOnSoil(snow, REFERENCE_RIG.build, 600, psi(20))).toMatchObject({ problem: { code: 'depthMissing' } });
    const shallow = wheelOnSoil(snow, REFERENCE_RIG.build, 600, psi(20), 0.1);
    expect(shallow.ok && shallow.value.sinkageMm).toBeLessThanOrEqual(100 + 1e-9);
    expect(wheelOnSoil(snow, REFERENCE_RIG.build, 5000, 0)).toMatchObject({ ok: false });
  });
});

describe('the printed equations', () => {
  // Published: Bekker; Janosi and Hanamoto; Wong, Theory of Ground Vehicles (soils and forms from memory); worked by hand.
  const sand = soilOf('drySand');

  it('pressure and sinkage are each other turned round', () => {
    for (const soil of SOILS) expect(groundAnswerKpa(soil, 0.2, sinkageM(soil, 0.2, 100))).toBeCloseTo(100, 9);
    // (0.99/0.2 + 1528)·0.1^1.1 = 121.77 kPa.
    expect(groundAnswerKpa(sand, 0.2, 0.1)).toBeCloseTo(121.77, 2);
  });

  it('resistance is the work of pressing the rut down', () => {
    // ∫ p·b dz, by small steps.
    const [steps, depth] = [20_000, 0.12];
    let work = 0;
    for (let index = 0; index < steps; index += 1)
      work += groundAnswerKpa(sand, 0.2, ((index + 0.5) * depth) / steps) * 0.2 * (depth / steps);
    expect(compactionResistanceKn(sand, 0.2, depth)).toBeCloseTo(work, 6);
  });

  it('thrust is the shear under the patch, which grows from nothing to all of it', () => {
    const patch = { areaM2: 0.04, lengthM: 0.2, loadKn: 5 };
    const most = 0.04 * 1.04 + 5 * Math.tan((28 * Math.PI) / 180);
    expect(thrustKn(sand, patch, 1e3)).toBeCloseTo(most, 2);
    // ∫ τ dA over the patch, by small steps: τ = most·(1 − e^(−s·x/K))/A.
    const [steps, slip] = [20_000, 0.2];
    let mean = 0;
    for (let index = 0; index < steps; index += 1)
      mean += (1 - Math.exp((-slip * ((index + 0.5) / steps) * 0.2) / 0.02)) / steps;
    expect(thrustKn(sand, patch, slip)).toBeCloseTo(most * mean, 8);
  });
});
