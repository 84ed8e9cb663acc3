import { psi } from '../units/units';
import { FAMILIES } from './registry';
import { pressureDoubt } from './pressureSlip';

const WAGON = { low: psi(26), high: psi(50) };

describe('pressureDoubt', () => {
  it.each([
    ['240 of the placard typed as psi', psi(240), 'psi', ['kPa']],
    ['2.4 of the placard typed as psi', psi(2.4), 'psi', ['bar']],
    ['36 psi typed as kPa', 36, 'kPa', ['psi']],
    ['36 psi typed as bar', 3600, 'bar', ['psi']],
    ['a slip that no unit explains', psi(999), 'psi', []],
  ] as const)('asks back: %s', (_, kpa, unit, readAs) => {
    expect(pressureDoubt(kpa, unit, WAGON)!.readAs.map((each) => each.unit)).toEqual(readAs);
  });

  it('says nothing of what fits as it was typed', () => {
    expect(pressureDoubt(psi(36), 'psi', WAGON)).toBeNull();
    expect(pressureDoubt(psi(80), 'psi', WAGON)).toBeNull();
  });

  it.each(FAMILIES.map(({ code, likely }) => [code, likely.roadKpa] as const))(
    'catches bar typed for psi on a %s, over all that such rigs usually have',
    (_, usual) => {
      for (const share of [0, 0.25, 0.5, 0.75, 1]) {
        const kpa = usual.low + share * (usual.high - usual.low);
        const typed = pressureDoubt(psi(kpa / 100), 'psi', usual);
        expect(typed).not.toBeNull();
        expect(
          typed!.readAs.some(({ unit, pressureKpa }) => unit === 'bar' && Math.abs(pressureKpa - kpa) < 1e-9),
        ).toBe(true);
        expect(pressureDoubt(kpa, 'psi', usual)).toBeNull();
      }
    },
  );
});
