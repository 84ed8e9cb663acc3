import { useState, type ReactNode } from 'react';
import {
  Pressable,
  StyleSheet,
  type GestureResponderEvent,
  type PressableProps,
  type StyleProp,
  type ViewStyle,
} from 'react-native';

import { usePalette } from '../theme/useLight';

interface PressProps extends Omit<PressableProps, 'style' | 'children'> {
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}

/** Anything that can be pressed: at least 48 px, with a focus ring that can be seen. */
export function Press({ style, children, ...rest }: PressProps) {
  const palette = usePalette();
  const [focused, setFocused] = useState(false);
  return (
    <Pressable
      role="button"
      {...rest}
      {...(rest.role === 'radio' && { onKeyDown: spaceChooses(rest.onPress) })}
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
        focused && { outlineColor: palette.waterDeep, outlineWidth: 3, outlineStyle: 'solid', outlineOffset: 2 },
      ]}
    >
      {children}
    </Pressable>
  );
}

/** The space bar presses a button by itself; one of a few is chosen with it too. */
const spaceChooses = (choose: PressableProps['onPress']) => (event: KeyboardEvent & GestureResponderEvent) => {
  if (event.key !== ' ') return;
  event.preventDefault();
  choose?.(event);
};

/** A finger needs no ring, a keyboard does; the browser knows which it was. */
const isKeyboardFocus = (target: unknown): boolean =>
  typeof Element !== 'undefined' && target instanceof Element && target.matches(':focus-visible');

const styles = StyleSheet.create({
  target: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
  pressed: { opacity: 0.7 },
  disabled: { opacity: 0.45 },
});
