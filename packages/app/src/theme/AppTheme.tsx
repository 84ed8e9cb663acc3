import { useLayoutEffect, useMemo, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';

import { paletteOf } from './palette';
import { paperTheme } from './paperTheme';
import { useLight } from './useLight';
import { usePrefersStill } from './usePrefersStill';

/** Paper's theme for the whole application; the page itself takes its colors for what the browser draws. */
export function AppTheme({ children }: { readonly children: ReactNode }) {
  const light = useLight();
  const still = usePrefersStill();
  const theme = useMemo(() => paperTheme(light, still), [light, still]);
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    style.setProperty('--paper', paletteOf(light).paper);
    style.setProperty('--focus', paletteOf(light).waterDeep);
    style.colorScheme = light === 'day' ? 'light' : 'dark';
  }, [light]);
  return <PaperProvider theme={theme}>{children}</PaperProvider>;
}
