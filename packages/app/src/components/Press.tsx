import type { ReactNode, Ref } from 'react';
import {
  StyleSheet,
  type GestureResponderEvent,
  type PressableProps,
  type StyleProp,
  type View,
  type ViewStyle,
} from 'react-native';
import { TouchableRipple } from 'react-native-paper';

interface PressProps extends Omit<PressableProps, 'style' | 'children' | 'ref'> {
  readonly ref?: Ref<View>;
  /** For one of several: what the arrow keys do. */
  readonly onArrow?: (direction: 1 | -1) => void;
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}

/** Anything that can be pressed and is no plain button: at least 48 px. Paper's ripple leaves the keys to us. */
export function Press({ style, children, onArrow, ...rest }: PressProps) {
  return (
    <TouchableRipple
      role="button"
      {...(rest as object)}
      {...(rest.role !== undefined && rest.role !== 'button' && { onKeyDown: keysOf(rest.onPress, onArrow) })}
      style={[styles.target, style, rest.disabled && styles.disabled]}
    >
      <>{children}</>
    </TouchableRipple>
  );
}

const ARROWS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The space bar presses a button by itself; what is chosen or switched is pressed by it too, and arrows go to the next. */
const keysOf =
  (press: PressableProps['onPress'], onArrow: PressProps['onArrow']) =>
  (event: KeyboardEvent & GestureResponderEvent) => {
    const direction = ARROWS[event.key];
    if (direction !== undefined && onArrow) {
      event.preventDefault();
      onArrow(direction);
    } else if (event.key === ' ') {
      event.preventDefault();
      press?.(event);
    }
  };

const styles = StyleSheet.create({
  target: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
  disabled: { opacity: 0.45 },
});
