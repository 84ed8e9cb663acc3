import { useColorScheme } from 'react-native';

import { lightStore } from '../settings/preferences';
import type { Palette } from './palette';
import { paletteOf } from './theme';

/** Day or night: the person's choice, or else the device's. */
export function useLight(): 'day' | 'night' {
  const chosen = lightStore.use();
  const device = useColorScheme();
  if (chosen !== 'auto') return chosen;
  return device === 'dark' ? 'night' : 'day';
}

export const usePalette = (): Palette => paletteOf(useLight());
