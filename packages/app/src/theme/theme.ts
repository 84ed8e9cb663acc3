import { configureFonts, MD3DarkTheme, MD3LightTheme, type MD3Theme } from 'react-native-paper';

import { DAY, NIGHT, type Palette } from './palette';
import { FACES } from './type';

/** Paper's theme in our colours and faces; its own corners are rounder than print. */
export function paperTheme(light: 'day' | 'night'): MD3Theme {
  const base = light === 'day' ? MD3LightTheme : MD3DarkTheme;
  const palette = paletteOf(light);
  return {
    ...base,
    roundness: 1,
    fonts: configureFonts({ config: { fontFamily: FACES.text } }),
    colors: {
      ...base.colors,
      primary: palette.moss,
      onPrimary: palette.onMoss,
      primaryContainer: palette.mossWash,
      onPrimaryContainer: palette.ink,
      secondaryContainer: palette.mossWash,
      onSecondaryContainer: palette.ink,
      background: palette.paper,
      onBackground: palette.ink,
      surface: palette.card,
      onSurface: palette.ink,
      surfaceVariant: palette.paper,
      onSurfaceVariant: palette.muted,
      outline: palette.muted,
      outlineVariant: palette.line,
      error: palette.rust,
      onError: palette.card,
      errorContainer: palette.rustWash,
      onErrorContainer: palette.ink,
      inverseSurface: palette.ink,
      inverseOnSurface: palette.paper,
      inversePrimary: light === 'day' ? NIGHT.moss : DAY.moss,
      elevation: { ...base.colors.elevation, level1: palette.card, level2: palette.card, level3: palette.card },
    },
  };
}

export const paletteOf = (light: 'day' | 'night'): Palette => (light === 'day' ? DAY : NIGHT);
