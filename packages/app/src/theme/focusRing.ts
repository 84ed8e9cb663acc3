import type { Palette } from './palette';

/** The ring around what has the keyboard's focus. */
export const focusRing = ({ waterDeep }: Palette) => ({
  outlineColor: waterDeep,
  outlineWidth: 3,
  outlineStyle: 'solid' as const,
  outlineOffset: 2,
});
