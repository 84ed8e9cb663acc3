import { groundOf } from '../grounds/registry';
import type { Ground } from '../grounds/ground';
import { canBog, chanceOfBogging, timesStuck } from './bogging';

const AS_THOUGHT = { shift: 0, sureness: 'usual' } as const;

describe('chanceOfBogging', () => {
  // Common practice, no source: on one soft sand 36 psi fails at once, 26 nearly gets there, 16 goes up with ease.
  it.each([
    [36, 0.9, 1],
    [26, 0.4, 0.6],
    [16, 0, 0.05],
  ])('at %d psi where 16 is asked for it lies between %d and %d', (psi, least, most) => {
    const chance = chanceOfBogging(psi / 16, 0, AS_THOUGHT);
    expect(chance).toBeGreaterThanOrEqual(least);
    expect(chance).toBeLessThanOrEqual(most);
  });

  it('rises with pressure, climb and softness; and less knowledge makes a safe pressure less so', () => {
    const at = (ratio: number, climbDeg = 0, shift = 0): number =>
      chanceOfBogging(ratio, climbDeg, { shift, sureness: 'usual' });
    expect(at(1.1)).toBeGreaterThan(at(1));
    expect(at(1, 5)).toBeGreaterThan(at(1));
    expect(at(1, 0, 0.2)).toBeGreaterThan(at(1));
    expect(chanceOfBogging(1, 0, { shift: 0, sureness: 'doubtful' })).toBeGreaterThan(
      chanceOfBogging(1, 0, { shift: 0, sureness: 'known' }),
    );
    // Downhill is not taken for help.
    expect(at(1, -5)).toBe(at(1));
  });

  it('asks it of ground that gives way alone', () => {
    const bogs = (code: Parameters<typeof groundOf>[0]): boolean => canBog(groundOf(code) as Ground);
    expect(['softSand', 'verySoftSand', 'mud', 'snow'].every((code) => bogs(code as 'mud'))).toBe(true);
    expect(
      ['pavement', 'gravel', 'rock', 'dampSand', 'fieldDry', 'fieldWet'].some((code) => bogs(code as 'rock')),
    ).toBe(false);
  });
});

describe('timesStuck', () => {
  it('counts trying again, and is no more than anybody would', () => {
    expect(timesStuck(0)).toBe(0);
    expect(timesStuck(0.5)).toBe(1);
    expect(timesStuck(0.999)).toBe(8);
    expect(timesStuck(1)).toBe(8);
  });
});
