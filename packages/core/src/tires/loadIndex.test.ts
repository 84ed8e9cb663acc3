import { loadIndexKg, MAX_LOAD_INDEX } from './loadIndex';

describe('loadIndexKg', () => {
  it.each([-1, 201, 91.5, Number.NaN])('gives nothing for %d', (index) => {
    expect(loadIndexKg(index)).toBeNull();
  });

  it('rises with every step', () => {
    for (let index = 1; index <= MAX_LOAD_INDEX; index += 1) {
      expect(loadIndexKg(index)!).toBeGreaterThan(loadIndexKg(index - 1)!);
    }
  });

  it('is ten times the load 80 steps on', () => {
    expect(loadIndexKg(120)).toBeCloseTo(10 * loadIndexKg(40)!, 9);
  });
});
