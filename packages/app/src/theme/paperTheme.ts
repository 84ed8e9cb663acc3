import { configureFonts, DefaultTheme, type MD3Theme } from 'react-native-paper';

import { DAY, NIGHT, paletteOf } from './palette';
import { FONTS } from './type';

/** Our colours, faces and corners in Paper's terms: a plain control of Paper looks like ours. */
export function paperTheme(light: 'day' | 'night', still: boolean): MD3Theme {
  const { paper, card, ink, muted, line, edge, moss, onMoss, mossWash, rust, rustWash, water } = paletteOf(light);
  return {
    ...(DefaultTheme as MD3Theme),
    dark: light === 'night',
    // Corners of print, not of glass.
    roundness: 1,
    animation: { scale: still ? 0 : 1 },
    fonts: configureFonts({ config: FONTS }),
    colors: {
      primary: moss,
      onPrimary: onMoss,
      primaryContainer: mossWash,
      onPrimaryContainer: ink,
      secondary: moss,
      onSecondary: onMoss,
      secondaryContainer: mossWash,
      onSecondaryContainer: ink,
      tertiary: moss,
      onTertiary: onMoss,
      tertiaryContainer: water,
      onTertiaryContainer: ink,
      background: paper,
      onBackground: ink,
      surface: card,
      onSurface: ink,
      surfaceVariant: paper,
      onSurfaceVariant: muted,
      surfaceDisabled: line,
      onSurfaceDisabled: muted,
      outline: edge,
      outlineVariant: line,
      error: rust,
      onError: card,
      errorContainer: rustWash,
      onErrorContainer: ink,
      inverseSurface: ink,
      inverseOnSurface: paper,
      inversePrimary: light === 'day' ? NIGHT.moss : DAY.moss,
      shadow: '#000000',
      scrim: '#000000',
      backdrop: 'rgba(22, 18, 16, 0.6)',
      elevation: { level0: 'transparent', level1: card, level2: card, level3: card, level4: card, level5: card },
    },
  };
}
