import { useWindowDimensions } from 'react-native';

/** From here on there is room for a rail and two panes, px. */
const WIDE_FROM = 900;
/** A phone on its side: less height than this, px, is for what the screen is about. */
const LOW_BELOW = 500;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;

/** The tabs are a rail at the side: where there is room, and where there is no height for a bar. */
export function useRail(): boolean {
  const { width, height } = useWindowDimensions();
  return width >= WIDE_FROM || (height < LOW_BELOW && width > height);
}
