import { psi } from '../units/units';
import { correctedKpa, gaugeOffset, type Gauge } from './gauge';
import { gaugeFitness } from './gaugeFitness';

const gauge = (fullPsi: number, change: Partial<Gauge> = {}): Gauge => ({
  fromKpa: 0,
  fullScaleKpa: psi(fullPsi),
  gradePercent: 1,
  comparisons: [],
  ...change,
});
const compared = (...pairs: [number, number][]) =>
  pairs.map(([gaugePsi, trustedPsi]) => ({ gaugeKpa: psi(gaugePsi), trustedKpa: psi(trustedPsi) }));

describe('gaugeOffset', () => {
  it('is the mean of the differences, with their spread', () => {
    expect(gaugeOffset([])).toBeNull();
    const offset = gaugeOffset(compared([36, 35], [22, 20], [16, 16]))!;
    expect(offset.offsetKpa).toBeCloseTo(psi(1), 9);
    expect(offset.spreadKpa).toBeCloseTo(psi(1), 9);
    expect(gaugeOffset(compared([36, 35]))!.spreadKpa).toBeNull();
  });

  it('corrects what is read, never below nothing', () => {
    expect(correctedKpa(psi(21), psi(1))).toBeCloseTo(psi(20), 9);
    expect(correctedKpa(3, 10)).toBe(0);
  });
});

describe('gaugeFitness', () => {
  it.each([
    ['a dial in the middle of its scale', gauge(60), 30, 'good', []],
    ['a dial near its end', gauge(60), 50, 'fair', ['nearTheEnd']],
    ['a long stick and 8 psi', gauge(160), 8, 'unfit', ['nearTheEnd', 'tooCoarse']],
    ['a low dial and 44 psi', gauge(20), 44, 'unfit', ['beyondScale']],
    ['a scale that begins above', gauge(160, { fromKpa: psi(10) }), 8, 'unfit', ['beyondScale', 'tooCoarse']],
    ['a class too coarse for the step', gauge(60, { gradePercent: 2.5 }), 30, 'fair', ['tooCoarse']],
    ['a gauge nothing is known of', gauge(60, { gradePercent: null }), 30, 'fair', ['tooCoarse']],
    [
      'one found steadier than its class',
      gauge(60, { gradePercent: 2.5, comparisons: compared([31, 30], [21.2, 20]) }),
      30,
      'good',
      [],
    ],
  ] as const)('%s: %s', (_, of, targetPsi, fitness, flaws) => {
    const result = gaugeFitness(of, psi(targetPsi), psi(1));
    expect(result.fitness).toBe(fitness);
    expect(result.flaws.map(({ code }) => code)).toEqual(flaws);
  });
});
