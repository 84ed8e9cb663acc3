import { useState, type ReactNode, type Ref } from 'react';
import {
  Pressable,
  StyleSheet,
  type GestureResponderEvent,
  type PressableProps,
  type StyleProp,
  type View,
  type ViewStyle,
} from 'react-native';

import { focusRing } from '../theme/focusRing';
import { usePalette } from '../theme/useLight';

interface PressProps extends Omit<PressableProps, 'style' | 'children'> {
  readonly ref?: Ref<View>;
  /** For one of several: what the arrow keys do. */
  readonly onArrow?: (direction: 1 | -1) => void;
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}

/** Anything that can be pressed: at least 48 px, with a focus ring that can be seen. */
export function Press({ style, children, onArrow, ...rest }: PressProps) {
  const palette = usePalette();
  const [focused, setFocused] = useState(false);
  return (
    <Pressable
      role="button"
      {...rest}
      {...(rest.role === 'radio' && { onKeyDown: radioKeys(rest.onPress, onArrow) })}
      onFocus={(event) => {
        setFocused(isKeyboardFocus(event.target));
        rest.onFocus?.(event);
      }}
      onBlur={(event) => {
        setFocused(false);
        rest.onBlur?.(event);
      }}
      style={({ pressed }) => [
        styles.target,
        style,
        pressed && styles.pressed,
        rest.disabled && styles.disabled,
        focused && focusRing(palette),
      ]}
    >
      {children}
    </Pressable>
  );
}

const ARROWS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The space bar presses a button by itself; one of a few is chosen with it too, and the arrows go from one to the next. */
const radioKeys =
  (choose: PressableProps['onPress'], onArrow: PressProps['onArrow']) =>
  (event: KeyboardEvent & GestureResponderEvent) => {
    const direction = ARROWS[event.key];
    if (direction !== undefined && onArrow) {
      event.preventDefault();
      onArrow(direction);
    } else if (event.key === ' ') {
      event.preventDefault();
      choose?.(event);
    }
  };

/** A finger needs no ring, a keyboard does; the browser knows which it was. */
const isKeyboardFocus = (target: unknown): boolean =>
  typeof Element !== 'undefined' && target instanceof Element && target.matches(':focus-visible');

const styles = StyleSheet.create({
  target: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
  pressed: { opacity: 0.7 },
  disabled: { opacity: 0.45 },
});
