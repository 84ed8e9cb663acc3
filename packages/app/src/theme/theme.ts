import { configureFonts } from 'react-native-paper';
import type { MD3Theme } from 'react-native-paper';

import { DAY, NIGHT, type Palette } from './palette';
import { FACES } from './type';

export const paletteOf = (light: 'day' | 'night'): Palette => (light === 'day' ? DAY : NIGHT);

/** Paper's theme in our colours and faces; its own corners are rounder than print. */
export function paperTheme(light: 'day' | 'night'): Pick<MD3Theme, 'dark' | 'roundness' | 'fonts' | 'colors'> {
  const { paper, card, ink, muted, line, moss, onMoss, mossWash, rust, rustWash, water } = paletteOf(light);
  return {
    dark: light === 'night',
    roundness: 1,
    fonts: configureFonts({ config: { fontFamily: FACES.text } }),
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
      outline: muted,
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
