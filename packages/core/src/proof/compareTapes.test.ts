import { compareTapes, type TapedWheel } from './compareTapes';

const taped = (wheel: string, surface: 'firm' | 'soft', ...readings: (readonly [number, number])[]): TapedWheel => ({
  wheel,
  surface,
  readings: readings.map(([pressureKpa, lengthMm]) => ({ pressureKpa, lengthMm })),
});

describe('compareTapes', () => {
  it('puts repeats together, and each wheel on each ground on a line of its own', () => {
    const { lines } = compareTapes([
      taped('frontLeft', 'firm', [100, 230], [250, 160]),
      taped('frontLeft', 'firm', [101, 234]),
      taped('rearLeft', 'firm', [100, 240]),
    ]);
    expect(lines.map(({ wheel }) => wheel)).toEqual(['frontLeft', 'rearLeft']);
    expect(lines[0]!.points).toEqual([
      { pressureKpa: 250, lengthMm: 160, times: 1 },
      { pressureKpa: 101, lengthMm: 232, times: 2 },
    ]);
  });

  it('holds soft ground against firm at the softest pressure that both reach, between readings if need be', () => {
    const { softAgainstFirm } = compareTapes([
      taped('frontLeft', 'firm', [250, 160], [100, 220]),
      taped('frontLeft', 'soft', [250, 480], [150, 520]),
    ]);
    expect(softAgainstFirm).toEqual([{ wheel: 'frontLeft', pressureKpa: 150, longerMm: expect.closeTo(520 - 200, 9) }]);
  });

  it('says nothing of soft ground where the same wheel was not measured on firm, nor beyond the readings', () => {
    expect(compareTapes([taped('frontLeft', 'soft', [150, 520])]).softAgainstFirm).toEqual([]);
    const apart = compareTapes([taped('frontLeft', 'firm', [100, 220]), taped('frontLeft', 'soft', [250, 480])]);
    expect(apart.softAgainstFirm).toEqual([]);
    expect(compareTapes([])).toEqual({ lines: [], softAgainstFirm: [] });
  });
});
