import { useWindowDimensions } from 'react-native';

/** From here on there is room for a rail and two panes, px. */
const WIDE_FROM = 900;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;
