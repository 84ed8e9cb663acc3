import fc from 'fast-check';

import { gaugeNowKpa, type TireConditions } from './gaugeNow';

const at = (change: Partial<TireConditions>): TireConditions => ({
  coldTempC: 20,
  tireTempC: 20,
  altitudeM: 0,
  ...change,
});
const pressure = fc.double({ min: 10, max: 600, noNaN: true });
const temp = fc.double({ min: -30, max: 90, noNaN: true });
const altitude = fc.double({ min: 0, max: 4000, noNaN: true });

describe('gaugeNowKpa', () => {
  it('is the cold pressure on a cold tire, wherever it stands', () => {
    fc.assert(
      fc.property(pressure, temp, altitude, (kpa, tempC, altitudeM) => {
        expect(gaugeNowKpa(kpa, { coldTempC: tempC, tireTempC: tempC, altitudeM })).toBeCloseTo(kpa, 9);
      }),
      { seed: 61 },
    );
  });

  it('rises with the tire’s warmth, and can be turned round', () => {
    fc.assert(
      fc.property(pressure, temp, temp, altitude, (kpa, coldTempC, tireTempC, altitudeM) => {
        // Closer together there is only rounding dust.
        fc.pre(Math.abs(tireTempC - coldTempC) > 1e-6);
        const now = gaugeNowKpa(kpa, { coldTempC, tireTempC, altitudeM });
        expect(Math.sign(now - kpa)).toBe(Math.sign(tireTempC - coldTempC));
        expect(gaugeNowKpa(now, { coldTempC: tireTempC, tireTempC: coldTempC, altitudeM })).toBeCloseTo(kpa, 9);
      }),
      { seed: 62 },
    );
  });

  it('changes less up high, where there is less air to warm', () => {
    const low = gaugeNowKpa(110, at({ tireTempC: 50 })) - 110;
    const high = gaugeNowKpa(110, at({ tireTempC: 50, altitudeM: 3000 })) - 110;
    expect(high).toBeLessThan(low);
  });
});
