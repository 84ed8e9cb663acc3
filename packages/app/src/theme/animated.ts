import { Animated } from 'react-native';

/** All that moves in Paper's components, for who runs it ahead of them. */
export const animated = Animated;
