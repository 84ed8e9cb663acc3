import { measuredLossADay, storageLoss } from './storage';

describe('storageLoss', () => {
  it('checks every four weeks, eight with low-loss tubes, sooner with latex', () => {
    expect(storageLoss(300, 50, 'standard', false).checkDays).toBe(28);
    expect(storageLoss(300, 50, 'lowLoss', false).checkDays).toBe(56);
    expect(storageLoss(300, 50, 'latex', true).checkDays).toBe(2);
  });

  it('checks earlier where it would be too soft by then', () => {
    const own = measuredLossADay(250, 245, 2);
    const { daysToLeast, checkDays, thenKpa } = storageLoss(240, 230, 'standard', true, own);
    expect(daysToLeast).toBeLessThan(28);
    expect(checkDays).toBe(daysToLeast);
    expect(thenKpa).toBeCloseTo(230, 9);
    expect(storageLoss(200, 230, 'standard', true, own)).toMatchObject({ daysToLeast: null, checkDays: 0 });
  });

  it('keeps to the trade’s weeks as long as nobody measured, whatever we assume of the loss', () => {
    for (const bicycle of [true, false]) expect(storageLoss(240, 239, 'noTube', bicycle).checkDays).toBe(28);
  });

  it('goes by what was measured', () => {
    const loss = measuredLossADay(300, 270, 10)!;
    expect(300 * (1 - loss) ** 10).toBeCloseTo(270, 9);
    expect(storageLoss(300, 270, 'standard', true, loss).daysToLeast).toBeCloseTo(10, 9);
    expect(measuredLossADay(300, 310, 10)).toBeNull();
    expect(measuredLossADay(300, 200, 0)).toBeNull();
  });
});
