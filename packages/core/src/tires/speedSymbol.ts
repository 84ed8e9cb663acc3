/**
 * Speed symbols and the speed they stand for, km/h.
 * Published: ISO 4223-1; UNECE Regulations 30, 75 and 106 (from memory).
 */
export const SPEED_SYMBOLS = {
  A1: 5,
  A2: 10,
  A3: 15,
  A4: 20,
  A5: 25,
  A6: 30,
  A7: 35,
  A8: 40,
  B: 50,
  C: 60,
  D: 65,
  E: 70,
  F: 80,
  G: 90,
  J: 100,
  K: 110,
  L: 120,
  M: 130,
  N: 140,
  P: 150,
  Q: 160,
  R: 170,
  S: 180,
  T: 190,
  U: 200,
  H: 210,
  V: 240,
  W: 270,
  Y: 300,
} as const;

export type SpeedSymbol = keyof typeof SPEED_SYMBOLS;

export const isSpeedSymbol = (text: string): text is SpeedSymbol => Object.hasOwn(SPEED_SYMBOLS, text);

/**
 * @example speedSymbolKmh('T') // 190
 */
export const speedSymbolKmh = (symbol: SpeedSymbol): number => SPEED_SYMBOLS[symbol];
