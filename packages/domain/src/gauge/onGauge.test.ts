import { psi, type AxlePlan } from '@dunlinmoss/core';

import { axleOnGauge, onGauge } from './onGauge';

const axle = (change: Partial<AxlePlan>): AxlePlan =>
  ({
    startKpa: psi(17.4),
    window: { lowKpa: psi(17.4), highKpa: psi(17.4) },
    floor: { pressureKpa: psi(17.4) },
    ceiling: null,
    roadKpa: psi(17.4),
    ...change,
  }) as unknown as AxlePlan;

describe('axleOnGauge', () => {
  it('shows a plan at road pressure as the road pressure itself is shown, on any gauge', () => {
    for (const units of [
      { pressure: 'psi' },
      { pressure: 'bar' },
      { pressure: 'kPa' },
      { pressure: 'psi', fine: true },
    ] as const) {
      const { startKpa, floorKpa, roadKpa } = axleOnGauge(axle({}), units);
      expect(startKpa).toBe(onGauge(psi(17.4), units));
      expect([floorKpa, roadKpa]).toEqual([startKpa, startKpa]);
    }
  });

  it('never rounds any other floor down, nor a ceiling up', () => {
    const units = { pressure: 'psi' } as const;
    const other = axleOnGauge(axle({ floor: { pressureKpa: psi(17.2) } as never }), units);
    expect(other.floorKpa).toBeCloseTo(psi(18), 9);
    const most = axleOnGauge(axle({ ceiling: { code: 'sidewall', pressureKpa: psi(17.8) } as never }), units);
    expect(most.ceilingKpa).toBeCloseTo(psi(17), 9);
  });
});
