import { DAY, NIGHT, type Palette } from './palette';

/** Relative luminance and contrast. Published: WCAG 2.2 (from memory). */
const luminance = (hex: string): number => {
  const [r, g, b] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};
const grounds: readonly (keyof Palette)[] = ['paper', 'card', 'mossWash', 'rustWash'];

describe.each([
  ['day', DAY],
  ['night', NIGHT],
])('the %s palette', (_, palette) => {
  it.each(grounds)('numbers stand out 7:1 on %s', (ground) => {
    expect(contrast(palette.ink, palette[ground])).toBeGreaterThanOrEqual(7);
  });

  it.each(['muted', 'moss', 'rust', 'waterDeep'] as const)('%s reads 4.5:1 on paper and card', (tone) => {
    expect(contrast(palette[tone], palette.paper)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette[tone], palette.card)).toBeGreaterThanOrEqual(4.5);
  });

  it.each(['paper', 'card'] as const)('the outline of a control stands out 3:1 on %s', (ground) => {
    expect(contrast(palette.edge, palette[ground])).toBeGreaterThanOrEqual(3);
  });

  it('a main button reads 4.5:1', () => expect(contrast(palette.onMoss, palette.moss)).toBeGreaterThanOrEqual(4.5));
});
