import { contactPatch, psi, readMarking } from '../src/index';

describe('ground pressure of a 245/75R16 under 500 kg (common practice, no source)', () => {
  const reading = readMarking('245/75R16');
  it.each([
    [45, 27.5],
    [35, 25],
    [10, 16],
  ])('at %d psi about %d psi, within 8 %%', (pressurePsi, groundPsi) => {
    expect(reading.ok).toBe(true);
    if (!reading.ok) return;
    const patch = contactPatch({ tire: reading.value, carcass: 1 }, 500, psi(pressurePsi))!;
    expect(Math.abs(patch.groundPressureKpa / psi(groundPsi) - 1)).toBeLessThan(0.08);
  });
});

describe('a footprint below 20 psi (common practice, no source)', () => {
  it('gains more for each psi the lower it goes', () => {
    const reading = readMarking('265/65R17');
    if (!reading.ok) throw new Error('265/65R17');
    const length = (p: number): number => contactPatch({ tire: reading.value, carcass: 1 }, 600, psi(p))!.lengthMm;
    for (let p = 20; p > 8; p -= 1) expect(length(p - 2) - length(p - 1)).toBeGreaterThan(length(p - 1) - length(p));
  });
});
