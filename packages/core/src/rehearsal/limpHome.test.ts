import { gaugeNowKpa } from '../atmosphere/gaugeNow';
import { psi } from '../units/units';
import { FIT_WARMTH_C, LIMP_KM, limpHome, limpIsOver, riseKpa, type LimpInput } from './limpHome';
import { verdictOn } from './verdict';

const input: LimpInput = { allowedKmh: 30, pressureKpa: psi(16), outsideKpaAbs: 101.325, outsideC: 20 };

describe('limpHome', () => {
  const limp = limpHome(input, 4);
  const [traffic, between, allowed, wait] = limp.choices(limp.begin);

  it('warms no further than an hour’s drive may, at the speed that its pressure allows', () => {
    // Common practice, no source: more than about 4 psi over cold says too low for load and speed; at 36 psi that is 23 °C.
    expect(gaugeNowKpa(psi(36), { coldTempC: 20, tireTempC: 20 + FIT_WARMTH_C, altitudeM: 0 }) - psi(36)).toBeCloseTo(
      psi(4),
      0,
    );
    let scene = limp.take(limp.begin, allowed!);
    expect(scene.moment).toBe('looked');
    scene = limp.take(scene, limp.choices(scene)[0]!);
    expect(scene.moment).toBe('home');
    expect(Math.max(...scene.frames.map(({ warmC }) => warmC))).toBeLessThanOrEqual(FIT_WARMTH_C);
    expect(scene.minutes).toBeCloseTo((LIMP_KM / 30) * 60, 0);
  });

  it('judges traffic’s speed by how often a tire does not bear it, whether this one does or not', () => {
    const expected = limp.choices(limp.begin).map((choice) => limp.expect(limp.begin, choice));
    expect(verdictOn(expected, 0, false).costsMin).toBeGreaterThan(20);
    expect(expected[0]!.halted).toBeGreaterThan(expected[1]!.halted);
    expect(expected[1]!.halted).toBeGreaterThan(expected[2]!.halted);
    expect(expected[2]!.halted).toBe(0);
    expect(expected.map(({ minutes }) => minutes).indexOf(Math.min(...expected.map(({ minutes }) => minutes)))).toBe(2);
    for (const seed of [1, 2, 3]) {
      const other = limpHome(input, seed);
      expect(other.expect(other.begin, between!)).toEqual(expected[1]);
    }
  });

  it('offers to slow down, to cool, or to wait once the gauge has said it', () => {
    const looked = limp.take(limp.begin, traffic!);
    expect(limp.choices(looked).map(({ code }) => code)).toEqual(['goOn', 'allowed', 'cool', 'wait']);
    const slow = limp.take(looked, limp.choices(looked)[1]!);
    expect(slow.moment).toBe('home');
    const cooled = limp.take(looked, limp.choices(looked)[2]!);
    expect(cooled.frames[0]!.warmC).toBeLessThan(looked.warmC / 3);
    expect(cooled.minutes).toBeGreaterThan(slow.minutes + 15);
  });

  it('ends with a tire gone where one was driven past what it bears', () => {
    const ends = Array.from({ length: 20 }, (_, seed) => {
      const one = limpHome(input, seed + 1);
      const looked = one.take(one.begin, traffic!);
      return limpIsOver(looked.moment) ? looked.moment : one.take(looked, one.choices(looked)[0]!).moment;
    });
    expect(ends).toContain('failed');
    expect(limp.take(limp.begin, wait!)).toMatchObject({ moment: 'waited', atKm: 0 });
  });
});

describe('riseKpa', () => {
  it('is what the gas law says', () => {
    const shown = gaugeNowKpa(psi(16), { coldTempC: 20, tireTempC: 40, altitudeM: 0 });
    expect(riseKpa(input, 20)).toBeCloseTo(shown - psi(16), 9);
  });
});
