import { loadIndexKg, speedSymbolKmh } from '../src/index';

describe('load index against the ISO load index table, R80 series (published, from memory)', () => {
  it.each([
    [0, 45],
    [1, 46.2],
    [3, 48.7],
    [10, 60],
    [20, 80],
    [28, 100],
    [35, 121],
    [40, 140],
    [50, 190],
    [60, 250],
    [63, 272],
    [65, 290],
    [67, 307],
    [70, 335],
    [75, 387],
    [80, 450],
    [85, 515],
    [88, 560],
    [91, 615],
    [95, 690],
    [100, 800],
    [104, 900],
    [108, 1000],
    [110, 1060],
    [111, 1090],
    [113, 1150],
    [115, 1215],
    [116, 1250],
    [117, 1285],
    [121, 1450],
    [126, 1700],
    [130, 1900],
    [143, 2725],
    [147, 3075],
    [150, 3350],
    [155, 3875],
    [159, 4375],
    [161, 4625],
    [173, 6500],
  ])('%d carries %d kg', (index, kg) => expect(loadIndexKg(index)).toBe(kg));

  it('stays within rounding of the geometric series 100·10^((LI − 28)/80) (exact law of the R80 series)', () => {
    for (let index = 0; index <= 200; index += 1) {
      const law = 100 * 10 ** ((index - 28) / 80);
      expect(Math.abs(loadIndexKg(index)! / law - 1)).toBeLessThan(0.016);
    }
  });
});

describe('speed symbols against ISO 4223-1, UNECE R30 and R106 (published, from memory)', () => {
  it.each([
    ['A1', 5],
    ['A8', 40],
    ['B', 50],
    ['D', 65],
    ['J', 100],
    ['N', 140],
    ['Q', 160],
    ['T', 190],
    ['H', 210],
    ['V', 240],
  ] as const)('%s is %d km/h', (symbol, kmh) => expect(speedSymbolKmh(symbol)).toBe(kmh));
});
