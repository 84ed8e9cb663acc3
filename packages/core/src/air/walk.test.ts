import type { RigGeometry } from '../loads/geometry';
import { walkingOrder, walkSeconds } from './walk';

const rig: RigGeometry = {
  hitchMm: 3800,
  axles: [
    { position: 'front', wheels: 2, behindMm: 0, trackMm: 1600 },
    { position: 'rear', wheels: 4, behindMm: 2800, trackMm: 1600 },
    { position: 'trailer', wheels: 2, behindMm: 2000, trackMm: 1500 },
  ],
};
const named = (places: ReturnType<typeof walkingOrder>): string[] =>
  places.map(({ position, wheel }) => `${position} ${wheel}`);

describe('walkingOrder', () => {
  it('goes down one side and back up the other, outer wheels first on the way back', () =>
    expect(named(walkingOrder(rig))).toEqual([
      'front left',
      'rear leftOuter',
      'rear leftInner',
      'trailer left',
      'trailer right',
      'rear rightOuter',
      'rear rightInner',
      'front right',
    ]));

  it('is front and rear for two wheels in line', () => {
    const bike = {
      axles: (['front', 'rear'] as const).map((position) => ({
        position,
        wheels: 1 as const,
        behindMm: 0,
        trackMm: null,
      })),
    };
    expect(named(walkingOrder(bike))).toEqual(['front single', 'rear single']);
  });
});

describe('walkSeconds', () => {
  const at = (position: 'front' | 'rear' | 'trailer', wheel: 'left' | 'right') => ({ position, wheel });
  it('is none to where one is', () => expect(walkSeconds(rig, at('front', 'left'), at('front', 'left'))).toBe(0));
  it('goes round the nearer end', () => {
    const front = walkSeconds(rig, at('front', 'left'), at('front', 'right'));
    const trailer = walkSeconds(rig, at('trailer', 'left'), at('trailer', 'right'));
    const middle = walkSeconds(rig, at('rear', 'left'), at('rear', 'right'));
    expect(front).toBeCloseTo(4 + (1.6 + 1.8) / 1.2, 6);
    expect(trailer).toBeCloseTo(4 + (1.5 + 1.8) / 1.2, 6);
    expect(middle).toBeGreaterThan(front);
  });
});
