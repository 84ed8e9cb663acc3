import { useColorScheme } from 'react-native';

import { lightStore } from '../settings/preferences';
import { paletteOf, type Palette } from './palette';

/** Day or night: the person's choice, or else the device's. */
export function useLight(): 'day' | 'night' {
  const chosen = lightStore.use();
  const device = useColorScheme();
  if (chosen !== 'auto') return chosen;
  return device === 'dark' ? 'night' : 'day';
}

export const usePalette = (): Palette => paletteOf(useLight());
