import { useMemo, type ReactNode } from 'react';
import { configureFonts, DefaultTheme, ThemeProvider, type MD3Theme } from 'react-native-paper';
import { SafeAreaInsetsContext } from 'react-native-safe-area-context';

import { DAY, NIGHT, paletteOf } from './palette';
import { FACES } from './type';
import { useLight } from './useLight';
import { usePrefersStill } from './usePrefersStill';

/** The page ends at a phone's notch by itself (`notOnPages.ts`). */
const NO_INSETS = { top: 0, right: 0, bottom: 0, left: 0 };

/**
 * Paper's theme for its fields, switches and dialogs below. Not for the whole application: the first screen has none of
 * them, and all that Paper's own provider brings took a tenth of an opening and more.
 */
export function PaperTheme({ children }: { readonly children: ReactNode }) {
  const light = useLight();
  const still = usePrefersStill();
  const theme = useMemo(() => paperTheme(light, still), [light, still]);
  return (
    <SafeAreaInsetsContext.Provider value={NO_INSETS}>
      <ThemeProvider theme={theme}>{children}</ThemeProvider>
    </SafeAreaInsetsContext.Provider>
  );
}

/** Paper's theme in our colours and faces; its own corners are rounder than print. */
function paperTheme(light: 'day' | 'night', still: boolean): MD3Theme {
  const { paper, card, ink, muted, line, moss, onMoss, mossWash, rust, rustWash, water } = paletteOf(light);
  return {
    // By its name of old: those of day and night would bring all of Paper along, and every colour of them is set below.
    ...DefaultTheme,
    dark: light === 'night',
    roundness: 1,
    animation: { scale: still ? 0 : 1 },
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
