import { psi } from '@dunlinmoss/core';
import { render, screen } from '@testing-library/react';
import fc from 'fast-check';

import type { Units } from '../data/preferences';
import { DAY } from '../theme/palette';
import { contactOutline } from './contactOutline';
import { Print } from './Print';
import { scaleBar } from './scaleBar';
import { spread } from './spread';
import { Staff } from './Staff';
import { Strip } from './Strip';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };

describe('spread', () => {
  it('leaves labels that have room where they are', () => {
    expect(spread([10, 50, 90], 20, 0, 100)).toEqual([10, 50, 90]);
  });

  it('moves labels apart inside their range, in their order', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { minLength: 1, maxLength: 6 }), (places) => {
        const moved = spread(places, 20, 0, 200);
        const sorted = [...moved].sort((a, b) => a - b);
        sorted.slice(1).forEach((place, index) => expect(place - sorted[index]!).toBeGreaterThan(20 - 1e-9));
        expect(sorted[0]).toBeGreaterThanOrEqual(0);
        expect(sorted.at(-1)).toBeLessThanOrEqual(200);
        places.forEach((a, i) => places.forEach((b, j) => expect(a < b && moved[i]! > moved[j]!).toBe(false)));
      }),
      { seed: 51 },
    );
  });
});

describe('contactOutline', () => {
  it('is as long and as wide as it was told, about its centre', () => {
    const numbers = contactOutline(100, 50, 80, 40)
      .match(/-?\d+(\.\d+)?/g)!
      .map(Number);
    const xs = numbers.filter((_, index) => index % 2 === 0);
    const ys = numbers.filter((_, index) => index % 2 === 1);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([80, 120]);
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([10, 90]);
  });
});

describe('scaleBar', () => {
  it.each([
    ['mm', 140, { lengthMm: 100, label: '100 mm' }],
    ['mm', 60, { lengthMm: 50, label: '50 mm' }],
    ['in', 140, { lengthMm: 101.6, label: '4 in' }],
    ['mm', 3, { lengthMm: 20, label: '20 mm' }],
  ] as const)('%s with %d mm of room', (unit, room, bar) => expect(scaleBar(unit, room)).toEqual(bar));
});

describe('the pictures say what they show', () => {
  it('the staff', () => {
    const axle = {
      name: 'Front',
      startKpa: psi(15),
      lowKpa: psi(14),
      highKpa: psi(16),
      floorKpa: psi(12),
      roadKpa: psi(36),
    };
    render(<Staff axles={[axle]} units={units} palette={DAY} />);
    expect(
      screen
        .getByRole('img')
        .getAttribute('aria-label')
        ?.replace(/\u00a0/g, ' '),
    ).toBe('Staff. Front 15 psi, window 14 psi to 16 psi, floor 12 psi, road 36 psi');
    expect(screen.getByText('Front 15')).toBeTruthy();
  });

  it('the print, one scale for both axles', () => {
    const outline = (lengthMm: number, pressureKpa: number) => ({ lengthMm, widthMm: 200, pressureKpa });
    const { container } = render(
      <Print
        axles={[
          { name: 'Front', road: outline(160, psi(36)), start: outline(240, psi(15)) },
          { name: 'Rear', road: outline(80, psi(36)), start: outline(120, psi(15)) },
        ]}
        units={units}
        palette={DAY}
      />,
    );
    const heights = [...container.querySelectorAll('path')].slice(0, 5).map((path) => {
      const ys = path
        .getAttribute('d')!
        .match(/-?\d+(\.\d+)?/g)!
        .map(Number)
        .filter((_, index) => index % 2 === 1);
      return Math.max(...ys) - Math.min(...ys);
    });
    expect(heights[0]! / heights[1]!).toBeCloseTo(1.5, 2);
    expect(heights[0]! / heights[3]!).toBeCloseTo(2, 2);
  });

  it('the strip', () => {
    const points = [
      { pressureKpa: psi(36), lengthMm: 160 },
      { pressureKpa: psi(15), lengthMm: 228 },
    ];
    const { container } = render(
      <Strip measured={points} predicted={points} fitted={[]} units={units} palette={DAY} />,
    );
    expect(container.querySelectorAll('circle')).toHaveLength(2);
    const [firm, soft] = [...container.querySelectorAll('circle')];
    expect(Number(firm!.getAttribute('cx'))).toBeGreaterThan(Number(soft!.getAttribute('cx')));
    expect(Number(firm!.getAttribute('cy'))).toBeGreaterThan(Number(soft!.getAttribute('cy')));
  });
});
