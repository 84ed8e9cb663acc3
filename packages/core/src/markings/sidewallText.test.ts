import { psi, toCanonical } from '../units/units';
import { readMarking } from './readMarking';
import { readSidewallText } from './sidewallText';

describe('readSidewallText', () => {
  it.each([
    ['AT25x8-12 MAX LOAD 1100 LBS AT 20 PSI', toCanonical('mass', 'lb', 1100), psi(20)],
    ['26x9-12 8 ply MAX LOAD 1,015 LBS AT 18 PSI COLD', toCanonical('mass', 'lb', 1015), psi(18)],
    ['30x10R15 Max. Load: 500 kg (1102 lbs) at 140 kPa (20 psi)', 500, 140],
    ['480/80R50 159A8/B MAX LOAD 4375 KG @ 2.4 BAR', 4375, 240],
  ])('takes the load line from %s', (text, loadKg, pressureKpa) => {
    const read = readSidewallText(text);
    expect(read.lines).toEqual([
      { loadKg: expect.closeTo(loadKg, 6) as number, pressureKpa: expect.closeTo(pressureKpa, 6) as number },
    ]);
    expect(readMarking(text).ok).toBe(true);
  });

  it('reads plies and stars in words, and the most it allows', () => {
    expect(readMarking('AT25x8-12 8 ply')).toMatchObject({ ok: true, value: { plyRating: 8 } });
    expect(readMarking('AT25x8-12 4 stars')).toMatchObject({ ok: true, value: { stars: 4 } });
    expect(readSidewallText('29x2.40 MAX 45 PSI').maxKpa).toBeCloseTo(psi(45), 9);
    expect(readSidewallText('29x2.40 inflate to 3.1 bar max').maxKpa).toBeCloseTo(310, 9);
  });

  it('leaves a plain size as it is', () => {
    expect(readSidewallText('265/65R17 112T')).toEqual({ marking: '265/65R17 112T', lines: [], maxKpa: null });
    expect(readSidewallText('33 12.50 15').lines).toEqual([]);
  });
});
