import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';
import { StyleSheet, type Text as NativeText } from 'react-native';

import { Text } from './Text';

/** The screen whose heading was shown last; null before the first. */
let lastPath: string | null = null;

/** React Native’s types do not know that a text can take the focus; the web does. */
const FOCUSED_BY_CODE: object = { tabIndex: -1 };

/** Whether the focus is where somebody already types. */
const isTyping = (): boolean => document.activeElement?.matches('input, textarea, select') ?? false;

/**
 * The heading of a screen. The window is called by it, and a change of screen takes the focus to it, so that a screen reader
 * says where one is and the next Tab comes to what is below it.
 */
export function ScreenTitle({ children }: { readonly children: string }) {
  const path = usePathname();
  const heading = useRef<NativeText>(null);
  useEffect(() => {
    document.title = `${children} · Dunlinmoss`;
  }, [children]);
  useEffect(() => {
    const isFirst = lastPath === null;
    const isSame = lastPath === path && document.activeElement !== document.body;
    lastPath = path;
    if (!isFirst && !isSame && !isTyping()) (heading.current as HTMLElement | null)?.focus({ preventScroll: true });
  }, [path]);
  return (
    <Text ref={heading} as="title" level={1} style={styles.heading} {...FOCUSED_BY_CODE}>
      {children}
    </Text>
  );
}

// It is no control: nothing happens by a key pressed on it, so it has no ring.
const styles = StyleSheet.create({ heading: { outlineStyle: 'solid', outlineWidth: 0 } });
