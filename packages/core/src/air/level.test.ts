import fc from 'fast-check';

import { hoseJoin, levelling } from './level';
import { joinedKpa, moveAir } from './mixing';

const place = (wheel: 'left' | 'right', pressureKpa: number) => ({ position: 'front' as const, wheel, pressureKpa });

describe('levelling', () => {
  it('leaves alone what a gauge can’t tell apart', () => {
    expect(levelling([place('left', 110), place('right', 112)], 110, 7)).toMatchObject({ apart: false, touch: [] });
  });

  it('lets out of the firm one, and puts into the soft one', () => {
    const { apart, apartKpa, touch } = levelling([place('left', 124), place('right', 103)], 110, 7);
    expect(apart).toBe(true);
    expect(apartKpa).toBe(21);
    expect(touch.map(({ wheel, way, toKpa }) => [wheel, way, toKpa])).toEqual([
      ['left', 'out', 110],
      ['right', 'in', 110],
    ]);
  });
});

describe('moveAir', () => {
  const soft = { volumeL: 60, pressureKpa: 80 };
  it('stops at the target, and takes no more than it needs', () => {
    const { transfers, reached } = moveAir(soft, [{ code: 'spare', volumeL: 60, pressureKpa: 300, keepKpa: 200 }], 150);
    expect(reached).toBe(true);
    expect(transfers).toHaveLength(1);
    expect(transfers[0]).toMatchObject({ donorAfterKpa: 230, softAfterKpa: 150, closedEarly: true });
  });

  it('takes as few joinings as will do: the softest donor that reaches it alone', () => {
    const donors = [
      { code: 'front', volumeL: 60, pressureKpa: 110, keepKpa: 99 },
      { code: 'rear', volumeL: 60, pressureKpa: 290, keepKpa: 260 },
      { code: 'spare', volumeL: 60, pressureKpa: 300, keepKpa: 0 },
    ];
    expect(moveAir(soft, donors, 105).transfers.map(({ code }) => code)).toEqual(['rear']);
    expect(moveAir(soft, donors, 150).transfers.map(({ code }) => code)).toEqual(['spare']);
    expect(moveAir(soft, donors, 200).transfers.map(({ code }) => code)).toEqual(['rear', 'spare']);
  });

  it('goes from the softest donor to the firmest, and reaches more that way than the other way round', () => {
    const donors = [
      { code: 'spare', volumeL: 60, pressureKpa: 300, keepKpa: 0 },
      { code: 'rear', volumeL: 80, pressureKpa: 160, keepKpa: 0 },
    ];
    const { transfers, reachedKpa, reached } = moveAir(soft, donors, 400);
    expect(reached).toBe(false);
    expect(transfers.map(({ code }) => code)).toEqual(['rear', 'spare']);
    const first = joinedKpa([soft, donors[0]!]);
    const otherWay = joinedKpa([{ ...soft, pressureKpa: first }, donors[1]!]);
    expect(reachedKpa).toBeGreaterThan(otherWay);
  });

  it('takes nothing a donor must keep, and leaves out what is not worth a hose', () => {
    const donors = [
      { code: 'level', volumeL: 60, pressureKpa: 81, keepKpa: 0 },
      { code: 'rear', volumeL: 30, pressureKpa: 160, keepKpa: 140 },
    ];
    const { transfers, reachedKpa } = moveAir(soft, donors, 400);
    expect(transfers).toHaveLength(1);
    expect(transfers[0]).toMatchObject({ code: 'rear', donorAfterKpa: 140, closedEarly: true });
    expect(reachedKpa).toBeCloseTo(90, 9);
  });

  it('loses no air', () => {
    const air = fc.record({
      volumeL: fc.double({ min: 5, max: 600, noNaN: true }),
      pressureKpa: fc.double({ min: 0, max: 500, noNaN: true }),
    });
    fc.assert(
      fc.property(air, air, fc.double({ min: 10, max: 500, noNaN: true }), (a, b, target) => {
        const { transfers } = moveAir(a, [{ code: 'b', ...b, keepKpa: 0 }], target);
        for (const { softBeforeKpa, softAfterKpa, donorBeforeKpa, donorAfterKpa } of transfers) {
          expect((softAfterKpa - softBeforeKpa) * a.volumeL).toBeCloseTo(
            (donorBeforeKpa - donorAfterKpa) * b.volumeL,
            6,
          );
        }
      }),
      { seed: 505 },
    );
  });
});

describe('hoseJoin', () => {
  it('takes longer for larger tires and a thinner hose, and none for level ones', () => {
    const a = { volumeL: 60, pressureKpa: 250 };
    const b = { volumeL: 60, pressureKpa: 110 };
    const usual = hoseJoin(a, b, 101.325, 3);
    expect(usual.levelKpa).toBe(180);
    expect(hoseJoin({ ...a, volumeL: 120 }, { ...b, volumeL: 120 }, 101.325, 3).seconds).toBeCloseTo(
      2 * usual.seconds!,
      -1,
    );
    expect(hoseJoin(a, b, 101.325, 3, 0.1).seconds).toBeGreaterThan(1.8 * usual.seconds!);
    expect(hoseJoin(a, a, 101.325, 3).seconds).toBe(0);
  });
});
