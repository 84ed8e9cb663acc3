/**
 * The R80 preferred numbers of one decade, as load indexes use them: index 28 is 100 kg, and each
 * 80 steps are ten times the load. Below 1000 kg the table drops the half kilogram of some: 387 and 3875.
 * Published: ISO 3 R80 series; ISO load index table (from memory).
 */
const R80 = [
  100, 103, 106, 109, 112, 115, 118, 121.5, 125, 128.5, 132, 136, 140, 145, 150, 155, 160, 165, 170, 175, 180, 185, 190,
  195, 200, 206, 212, 218, 224, 230, 236, 243, 250, 257.5, 265, 272.5, 280, 290, 300, 307.5, 315, 325, 335, 345, 355,
  365, 375, 387.5, 400, 412.5, 425, 437.5, 450, 462.5, 475, 487.5, 500, 515, 530, 545, 560, 580, 600, 615, 630, 650,
  670, 690, 710, 730, 750, 775, 800, 825, 850, 875, 900, 925, 950, 975,
];
const INDEX_OF_100_KG = 28;

export const MAX_LOAD_INDEX = 200;

/**
 * The load one tire carries at its load index, kg, or null where the index is not a whole number from 0 to 200.
 *
 * @example loadIndexKg(111) // 1090
 */
export function loadIndexKg(loadIndex: number): number | null {
  if (!Number.isInteger(loadIndex) || loadIndex < 0 || loadIndex > MAX_LOAD_INDEX) return null;
  const steps = loadIndex - INDEX_OF_100_KG;
  const decade = Math.floor(steps / R80.length);
  const mantissa = R80[steps - decade * R80.length]!;
  if (decade > 0) return mantissa * 10 ** decade;
  // Three figures; dividing keeps 462/10 at 46.2, where multiplying by 0.1 would leave rounding dust.
  return Math.trunc(mantissa) / 10 ** -decade;
}
