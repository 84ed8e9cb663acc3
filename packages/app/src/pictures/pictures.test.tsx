import { psi } from '@dunlinmoss/core';
import { render, screen } from '@testing-library/react';
import fc from 'fast-check';

import { FIRST_UNITS, type Units } from '../settings/preferences';
import { DAY } from '../theme/palette';
import { Axles, type DrawnAxle } from './Axles';
import { contactOutline } from './contactOutline';
import { inPairs } from './inPairs';
import { Print } from './Print';
import { scaleBar } from './scaleBar';
import { spread } from './spread';
import { Staff } from './Staff';
import { Strip } from './Strip';

const units: Units = FIRST_UNITS;

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

describe('inPairs', () => {
  it('puts two to a board, and the odd one alone', () => {
    expect(inPairs(['a', 'b', 'c'])).toEqual([['a', 'b'], ['c']]);
    expect(inPairs([])).toEqual([]);
  });
});

describe('the axles', () => {
  const axle = (position: DrawnAxle['position'], change: Partial<DrawnAxle> = {}): DrawnAxle => ({
    position,
    wheels: 2,
    behindMm: position === 'front' ? 0 : 2800,
    trackMm: 1600,
    diameterMm: 780,
    widthMm: 265,
    loadsKg: [570, 575],
    standing: 'weighed',
    danger: false,
    ...change,
  });
  const draw = (axles: readonly DrawnAxle[], hitchMm: number | null = null) => {
    const { container, unmount } = render(
      <Axles axles={axles} hitchMm={hitchMm} items={[]} units={units} palette={DAY} />,
    );
    const label = screen
      .getByRole('img')
      .getAttribute('aria-label')!
      .replace(/\u00a0/g, ' ');
    const wheels = [...container.querySelectorAll('rect')].map((rect) => ({
      x: Number(rect.getAttribute('x')) + Number(rect.getAttribute('width')) / 2,
      y: Number(rect.getAttribute('y')) + Number(rect.getAttribute('height')) / 2,
    }));
    const captions = [...container.querySelectorAll('text')].map(({ textContent }) => textContent);
    unmount();
    return { label, wheels, captions };
  };

  it('say beside each load how it is known, on one wheel and on two', () => {
    const { captions } = draw([
      axle('front', { wheels: 1, trackMm: null, loadsKg: [40], standing: 'estimated' }),
      axle('rear', { standing: 'shared' }),
    ]);
    expect(captions).toEqual(expect.arrayContaining(['front, estimate', 'rear', 'axle weighed']));
    expect(draw([axle('front', { loadsKg: undefined, standing: undefined })]).captions).not.toContain('weighed');
  });

  it('say each load, and where none is known', () => {
    expect(draw([axle('front'), axle('rear', { loadsKg: undefined })]).label).toBe(
      'Axles from above. Front: left 570 kg, right 575 kg; Rear: load not known',
    );
  });

  it('stand at their real spacing, the trailer behind its coupling', () => {
    const { wheels } = draw([axle('front'), axle('rear'), axle('trailer', { behindMm: 4000 })], 3500);
    const [front, rear, trailer] = [wheels[0]!, wheels[2]!, wheels[4]!];
    expect((trailer.y - front.y) / (rear.y - front.y)).toBeCloseTo(7500 / 2800, 6);
    expect((wheels[1]!.x - front.x) / (rear.y - front.y)).toBeCloseTo(1600 / 2800, 6);
  });

  it('show one wheel, two, or pairs', () => {
    expect(draw([axle('front', { wheels: 1, trackMm: null, loadsKg: [40] })]).wheels).toHaveLength(1);
    expect(draw([axle('front', { wheels: 4, loadsKg: [5, 5, 6, 6] })]).wheels).toHaveLength(4);
  });

  it('hatch the wheels of an axle that is in danger', () => {
    expect(draw([axle('front', { danger: true })]).wheels).toHaveLength(4);
  });
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
