import type { OutlineMm } from '../proof/routine';
import { oddityOf } from './outline';

const box = (wide: number, long: number): OutlineMm => [
  [0, 0],
  [wide, 0],
  [wide, long],
  [0, long],
];
const round = (wide: number, long: number): OutlineMm =>
  Array.from({ length: 90 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 90;
    return [100 + (wide / 2) * Math.cos(angle), 100 + (long / 2) * Math.sin(angle)];
  });

describe('oddityOf', () => {
  it.each([
    ['a box', box(180, 220)],
    ['the ellipse of a bicycle', round(40, 100)],
    [
      'a print that leans a little on one shoulder',
      [
        [0, 8],
        [180, 0],
        [180, 220],
        [0, 212],
      ] as OutlineMm,
    ],
  ])('is near nothing for %s', (_, outline) => {
    const { hollow, horn, lopsided } = oddityOf(outline);
    expect(hollow).toBeLessThan(0.02);
    expect(horn).toBeLessThan(0.035);
    expect(lopsided).toBeLessThan(0.06);
  });

  it('sees a streak that hangs on it, a horn, and one half that is another thing', () => {
    const streak: OutlineMm = [...box(180, 220).slice(0, 3), [120, 220], [120, 300], [90, 300], [90, 220], [0, 220]];
    expect(oddityOf(streak).hollow).toBeGreaterThan(0.07);
    const horn: OutlineMm = [...box(180, 220).slice(0, 3), [95, 220], [90, 250], [85, 220], [0, 220]];
    expect(oddityOf(horn).horn).toBeGreaterThan(0.035);
    const wedge: OutlineMm = [
      [0, 60],
      [180, 0],
      [180, 220],
      [0, 120],
    ];
    expect(oddityOf(wedge).lopsided).toBeGreaterThan(0.15);
  });
});
