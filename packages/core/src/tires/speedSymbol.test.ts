import { isSpeedSymbol, speedSymbolKmh } from './speedSymbol';

describe('isSpeedSymbol', () => {
  it.each(['A8', 'Q', 'H'])('knows %s', (symbol) => expect(isSpeedSymbol(symbol)).toBe(true));
  it.each(['A9', 'I', 'O', 'X', '', 'toString'])('refuses %p', (symbol) => expect(isSpeedSymbol(symbol)).toBe(false));
});

describe('speedSymbolKmh', () => {
  it('keeps the historic place of H between U and V', () => {
    expect(speedSymbolKmh('H')).toBeGreaterThan(speedSymbolKmh('U'));
    expect(speedSymbolKmh('H')).toBeLessThan(speedSymbolKmh('V'));
  });
});
