import { curveOf } from '@dunlinmoss/contract';
import { capacity, psi } from '@dunlinmoss/core';

import { FIRST_UNITS, type Units } from '../settings/preferences';
import { sampleAxle } from '@dunlinmoss/domain/testing';
import { capacityText } from './capacity';

const units: Units = FIRST_UNITS;
const told = (change: Parameters<typeof sampleAxle>[1], speedKmh: number | null = null): string => {
  const axle = sampleAxle('rear', change);
  const curve = curveOf(axle);
  const carries =
    curve.ok && axle.roadKpa !== null ? capacity(curve.value, { pressureKpa: axle.roadKpa, speedKmh }) : undefined;
  return capacityText(curve, carries, speedKmh, units).replace(/\u00a0/g, ' ');
};
const lines = [
  { pressureKpa: psi(50), loadKg: 1000 },
  { pressureKpa: psi(80), loadKg: 1380 },
];

describe('capacityText', () => {
  // 1120 × (36 psi ÷ 250 kPa)^0.8, and 1000 × (30 ÷ 50)^0.685.
  it.each([
    [{}, null, 'Carries 1114 kg a wheel there, estimated from its load index, taken to hold at 36 psi.'],
    [{ lines, roadKpa: psi(50) }, null, 'Carries 1000 kg a wheel there, by the lines on its sidewall.'],
    [{ lines, roadKpa: psi(30) }, null, 'Carries 705 kg a wheel there, estimated, below the lines on its sidewall.'],
    [{ roadKpa: null }, null, 'What it carries on the road waits for the road pressure.'],
    [
      { tireMarking: '265/65R17' },
      null,
      'What it carries is not known: type a “max load at pressure” line of the sidewall.',
    ],
    [
      { tireMarking: '480/80R50 159A8 **', roadKpa: 240 },
      60,
      'Good for 50 km/h by its load index: not for this road speed.',
    ],
    [
      { tireMarking: 'VF380/90R46 173D', roadKpa: 240 },
      40,
      'Its load index says how much it carries, not at what pressure: type rows of its data sheet, or the pressure beside the load on its sidewall.',
    ],
    [
      { rows: [{ pressureKpa: 120, speedKmh: 40, loadKg: 2900 }], roadKpa: 100 },
      40,
      'Its data sheet begins at 17 psi: below that nothing is promised.',
    ],
    [
      { rows: [{ pressureKpa: 120, speedKmh: 40, loadKg: 2900 }], roadKpa: 120 },
      40,
      'Carries 2900 kg a wheel there at 40 km/h, by its data sheet.',
    ],
  ] as const)('%#', (change, speedKmh, text) => {
    expect(told(change as Parameters<typeof sampleAxle>[1], speedKmh)).toBe(text);
  });

  it('says which lines contradict each other', () => {
    expect(told({ lines: [lines[0]!, { ...lines[1]!, loadKg: 900 }] })).toContain(
      '80 psi should carry more than 50 psi',
    );
  });
});
